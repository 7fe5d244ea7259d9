/** A press by mouse or finger leaves the focus free, so that the space bar goes on meaning pause. `freePress(event, () => runner.toggle())` */
export function freePress(event: MouseEvent, action: () => void): void {
  if (event.detail > 0) (event.currentTarget as HTMLElement).blur();
  action();
}
