import { type NamedText } from '../../formats/index.ts';

/** Hands a text to the browser to be saved as a file. */
export function saveText({ name, text, mime }: NamedText): void {
  saveFile(name, new Blob([text], { type: `${mime};charset=utf-8` }));
}

/** The same with anything that is in memory. */
export function saveFile(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
