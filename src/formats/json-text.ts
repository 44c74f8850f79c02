/** What a JSON text holds. @throws RangeError with a sentence for one that is broken */
export function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new RangeError('This JSON file is broken off or damaged.');
  }
}
