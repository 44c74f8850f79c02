/** A plain file chooser; the same file can be chosen again. */
export function ChooseFile({ label, accept, onFile }: { label: string; accept: string; onFile(file: File): void }) {
  return (
    <input
      type="file"
      aria-label={label}
      accept={accept}
      className="w-full text-[0.92rem] file:mr-3 file:min-h-10 file:border file:border-solid file:border-edge file:bg-leaf file:px-3 file:font-semibold"
      onChange={(event) => {
        const file = event.target.files?.[0];
        event.target.value = '';
        if (file) onFile(file);
      }}
    />
  );
}
