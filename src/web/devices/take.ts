import { TakingLine } from '../../contracts/index.ts';

/**
 * Lets a device take a picture and brings it as a file, like any other file that is chosen.
 * @param signal aborts the taking; the device stops
 * @throws Error with a sentence when the device gives none
 */
export async function takePicture(
  device: 'scanner/scan' | 'camera/shoot',
  request: object,
  onProgress: (share: number, doing: string) => void,
  signal: AbortSignal,
): Promise<File> {
  const answer = await fetch(`/api/devices/${device}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(request),
    signal,
  });
  if (!answer.ok || !answer.body) throw new Error('The device does not answer. Try again.');
  for await (const line of linesOf(answer.body)) {
    const said = TakingLine.parse(JSON.parse(line));
    if ('sentence' in said) throw new Error(said.sentence);
    if ('share' in said) onProgress(said.share, said.doing);
    else {
      const picture = await fetch(`/api/devices/pictures/${said.picture}`, { signal });
      if (!picture.ok) throw new Error('The picture is gone. Take it again.');
      return new File([await picture.blob()], said.name, { type: 'image/jpeg' });
    }
  }
  throw new Error('The device stopped before the picture was there. Try again.');
}

/** The lines of a stream of text, as they arrive. */
export async function* linesOf(stream: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = stream.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    rest += decoder.decode(value, { stream: !done });
    const lines = rest.split('\n');
    rest = lines.pop()!;
    for (const line of lines) if (line) yield line;
    if (done) break;
  }
  if (rest) yield rest;
}
