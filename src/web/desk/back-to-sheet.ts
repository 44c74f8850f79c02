/** The element that shows the sheet and takes its keys. */
export const SHEET_ID = 'the-sheet';

/** Gives the keyboard back to the sheet, once what had it has gone from the screen. */
export function backToSheet(): void {
  requestAnimationFrame(() => document.getElementById(SHEET_ID)?.focus({ preventScroll: true }));
}
