/**
 * Opens a part of the page and brings it into view, with the focus on its heading.
 *
 * @param id of a `details`, or of something that holds one
 */
export function openPart(id: string): void {
  const part = document.getElementById(id);
  if (part === null) return;
  const details = part instanceof HTMLDetailsElement ? part : part.querySelector('details');
  if (details !== null) details.open = true;
  part.scrollIntoView({ block: 'start' });
  const heading = part.querySelector('summary') ?? part;
  heading.focus({ preventScroll: true });
}
