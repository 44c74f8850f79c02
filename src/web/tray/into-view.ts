/** Brings what has just been laid on the side table into view, however far down that was read. */
export function intoView(element: HTMLElement | null): void {
  element?.scrollIntoView({ block: 'start' });
}
