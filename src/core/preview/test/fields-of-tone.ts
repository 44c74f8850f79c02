import { type PageFields, FIELDS } from '../../light/index.ts';

/** Fields of a page where all but the tone are nothing. */
export function fieldsOfTone(tone: Uint8Array): PageFields {
  const none = new Uint8Array(tone.length);
  return Object.fromEntries(FIELDS.map((field) => [field, field === 'tone' ? tone : none])) as PageFields;
}
