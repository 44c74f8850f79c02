import filenamify from 'filenamify/browser';

/** A kind of file that something can be taken away as. */
export interface FileFormat<Content> {
  /** What it is called where it is offered. */
  id: string;
  /** Of its files, without a dot. */
  extension: string;
  mime: string;
  /** What it holds, for a person. */
  holds: string;
  write(content: Content): string;
}

/** A kind of file that can be brought in too. */
export interface ReadableFormat<Content, Read> extends FileFormat<Content> {
  /** Whether a text, without byte order mark and leading blanks, is of this format. */
  recognises(text: string): boolean;
  /**
   * @param name where the file does not tell one
   * @throws RangeError with a sentence for a text that cannot be read
   */
  read(text: string, name: string): Read;
}

/** A file to be saved. */
export interface NamedText {
  name: string;
  text: string;
  mime: string;
}

/** Something as a file under a name that every desk can write. */
export function fileOf<Content>(name: string, content: Content, format: FileFormat<Content>): NamedText {
  return { name: `${safeName(name)}.${format.extension}`, text: format.write(content), mime: format.mime };
}

/** What a place that takes files of some formats takes, as a browser is told it. */
export function acceptedBy(formats: readonly Pick<FileFormat<never>, 'extension' | 'mime'>[]): string {
  return formats.map(({ extension, mime }) => `.${extension},${mime}`).join();
}

/** A name that every desk can write. */
export function safeName(name: string): string {
  return filenamify(name, { replacement: ' ', maxLength: 100 }).trim() || 'Untitled';
}

const LONGEST_NAME = 60;

/**
 * Reads a file in the first of some formats that recognises it.
 * @throws RangeError with a sentence for a text that is none of them or cannot be read
 */
export function readAs<Read>(
  formats: readonly Pick<ReadableFormat<never, Read>, 'recognises' | 'read'>[],
  text: string,
  fileName: string,
): Read {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  const name = fileName
    .replace(/\.[^.]*$/, '')
    .slice(0, LONGEST_NAME)
    .trim();
  const format = formats.find((each) => each.recognises(start));
  if (!format) throw new RangeError('This file is of no kind that can be read here.');
  return format.read(start, name);
}
