/** px that a hand trembles while it presses: nothing is moved by less. */
const TREMBLES_PX = 4;

/** Whether a pressed pointer that came so far, px, was moved, and not only pressed. */
export const isMoved = (right: number, down: number): boolean => Math.hypot(right, down) >= TREMBLES_PX;

/**
 * Has the field that is being typed in take what was typed. For what acts as soon as it is pressed: by itself the field is
 * left a moment later, when it may be gone, or be that of something else.
 */
export function leaveField(): void {
  const { activeElement } = document;
  if (activeElement instanceof HTMLElement && activeElement.matches('input, textarea, select')) activeElement.blur();
}
