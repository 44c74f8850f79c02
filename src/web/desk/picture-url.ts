/** The address of a sheet's working picture; its hash makes it safe to keep. */
export function pictureUrl(sheetId: string, hash: string): string {
  return `/api/sheets/${sheetId}/picture/${hash}`;
}
