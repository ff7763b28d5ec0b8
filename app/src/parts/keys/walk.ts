/**
 * The readings' walk: the fields that a caliper fills one by one, in the order in which they stand on the page. Each
 * registers how it takes a text; Enter goes to the next.
 */
export interface WalkStop {
  readonly element: HTMLInputElement;
  /** Takes a text as a hand would type it and press Enter. @returns whether it was taken */
  take(text: string): boolean;
}

const stops = new Set<WalkStop>();

export function joinWalk(stop: WalkStop): () => void {
  stops.add(stop);
  return () => stops.delete(stop);
}

const inOrder = (): WalkStop[] =>
  [...stops].sort((a, b) => (a.element.compareDocumentPosition(b.element) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1));

/** Moves the focus to the stop after this one. At the end it stays. */
export function walkOn(from: HTMLInputElement): void {
  const list = inOrder();
  const next = list[list.findIndex(({ element }) => element === from) + 1];
  next?.element.focus();
  next?.element.select();
}

/** Gives a reading that came without focus to the first empty stop, or the first of all. @returns whether any took it */
export function takeBurst(text: string): boolean {
  const list = inOrder();
  const stop = list.find(({ element }) => element.value === '') ?? list[0];
  if (!stop) return false;
  stop.element.focus();
  if (stop.take(text)) walkOn(stop.element);
  return true;
}

/**
 * Begins a figure that a hand types without focus: its first character goes into the first empty stop, which has the
 * focus from then on, so that none is lost. @returns whether one took it
 */
export function beginFigure(text: string): boolean {
  const stop = inOrder().find(({ element }) => element.value === '' && !element.disabled);
  if (!stop) return false;
  stop.element.focus();
  stop.element.setRangeText(text, 0, 0, 'end');
  stop.element.dispatchEvent(new Event('input', { bubbles: true }));
  return true;
}
