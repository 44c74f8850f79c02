/** The stages in the order in which the work is done. */
export const STAGE_LINKS = [
  { to: 'sheet', label: 'Sheet' },
  { to: 'tray', label: 'Tray' },
  { to: 'wheel', label: 'Wheel' },
  { to: 'light', label: 'Light' },
  { to: 'layers', label: 'Layers' },
  { to: 'bench', label: 'Bench' },
  { to: 'record', label: 'Record' },
] as const;

/** The address of a sheet's stage; the tray lies outside the sheet but knows the way back. */
export function stageAddress(sheetId: string, trayId: string, to: string): string {
  return to === 'tray' ? `/tray/${trayId}?sheet=${sheetId}` : `/sheets/${sheetId}/${to}`;
}
