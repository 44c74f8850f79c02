import { Download } from 'lucide-react';

/** The card as a PDF to print. */
export function PdfOf({ trayId, cardId, number }: { trayId: string; cardId: string; number: number }) {
  return (
    <a
      href={`/api/trays/${trayId}/cards/${cardId}/print`}
      download
      aria-label={`Card ${number} as PDF`}
      className="flex min-h-9 items-center gap-1.5 font-semibold underline underline-offset-4"
    >
      <Download size={15} aria-hidden /> PDF
    </a>
  );
}
