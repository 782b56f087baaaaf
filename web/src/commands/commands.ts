/** Something a person can do, by key, from the go-to box, or both. */
export interface Command {
  readonly id: string;
  readonly label: string;
  /** 'Ctrl+S', 'Alt+A', 'n', '?': as it is listed and matched. */
  readonly keys?: string;
  /** Its keys mean something of their own in a field: there they are left to it. */
  readonly restsWhileTyping?: boolean;
  run(): void;
}

interface KeyPress {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
}

/** A key press as it is written in an act's keys; Ctrl stands for the command key too. */
export function keysOf({ key, ctrlKey, metaKey, altKey }: KeyPress): string {
  const name = key.length === 1 && (ctrlKey || metaKey || altKey) ? key.toUpperCase() : key;
  return `${ctrlKey || metaKey ? 'Ctrl+' : ''}${altKey ? 'Alt+' : ''}${name}`;
}

/** True for keys that would also be typing: these rest while somebody types, and can be switched off. */
export const isSingleKey = (keys: string): boolean => !keys.includes('+');

/** The act that a key press means now, or null. */
export function commandFor(
  acts: readonly Command[],
  press: KeyPress,
  { typing, singleKeys }: { typing: boolean; singleKeys: boolean },
): Command | null {
  const keys = keysOf(press);
  if (isSingleKey(keys) && (typing || !singleKeys)) return null;
  return acts.find((act) => act.keys === keys && !(typing && act.restsWhileTyping)) ?? null;
}
