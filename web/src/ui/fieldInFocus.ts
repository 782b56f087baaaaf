type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** What a field is called, and which of those it is that are called so. */
interface Place {
  readonly name: string;
  readonly at: number;
}

let kept: Place | null = null;

const isField = (element: Element | null): element is Field =>
  element !== null && /^(INPUT|TEXTAREA|SELECT)$/.test(element.tagName);

const nameOf = (field: Field): string =>
  field.getAttribute('aria-label') ?? [...(field.labels ?? [])].map(({ textContent }) => textContent).join();

const fieldsCalled = (name: string, root: ParentNode): Field[] =>
  [...root.querySelectorAll<Field>('input, textarea, select')].filter((field) => nameOf(field) === name);

/** Keeps where somebody is typing, for the next screen that is gone to: it shows the same fields. */
export function keepFieldInFocus(): void {
  const field = document.activeElement;
  const name = isField(field) ? nameOf(field) : '';
  kept = isField(field) && name !== '' ? { name, at: fieldsCalled(name, document).indexOf(field) } : null;
}

/** Whether somebody is typing in a field that the next screen has to have at once. */
export const isTypingOn = (): boolean => kept !== null;

/**
 * Gives the focus to the field that was kept, once, with the caret after what is typed.
 *
 * @returns whether it is there
 */
export function focusKeptField(root: ParentNode): boolean {
  const place = kept;
  kept = null;
  const field = place && fieldsCalled(place.name, root)[place.at];
  if (!field) return false;
  field.focus();
  // A date or a choice has no caret.
  if (!(field instanceof HTMLSelectElement) && field.selectionEnd !== null)
    field.setSelectionRange(field.value.length, field.value.length);
  return true;
}
