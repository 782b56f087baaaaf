import { createContext, Suspense, use, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, useTransition, type ReactNode } from 'react'; // prettier-ignore
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { commandFor, type Command } from './commands.ts';

export type PanelName = 'go-to' | 'shortcuts' | 'settings';

/** A panel that was asked for, with what can be done on the screen behind it. */
export interface PanelProps {
  name: PanelName;
  acts: readonly Command[];
  /** What was typed since it was asked for, once. */
  typedAhead(): string;
  onClose(): void;
}

interface ProviderProps {
  children: ReactNode;
  renderPanel?(panel: PanelProps): ReactNode;
}

interface Registry {
  /** Adds the acts of a screen while it is shown; the newest screen goes first. Returns how to take them away. */
  add(acts: () => readonly Command[]): () => void;
  open(panel: PanelName): void;
}

const ActsContext = createContext<Registry | null>(null);

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Keeps what can be done on the screen of now, listens for its keys, and opens the panels that show it. */
export function CommandsProvider({ children, renderPanel }: ProviderProps) {
  const groups = useRef<(() => readonly Command[])[]>([]);
  const [panel, setPanel] = useState<Omit<PanelProps, 'onClose'> | null>(null);
  const [isOpening, startOpening] = useTransition();
  const opened = useRef(new Set<PanelName>());
  const ahead = useRef('');
  const { preferences } = usePreferences();
  const all = useCallback(() => groups.current.flatMap((acts) => acts()), []);

  const typedAhead = useCallback(() => {
    const typed = ahead.current;
    ahead.current = '';
    return typed;
  }, []);

  const registry = useMemo<Registry>(
    () => ({
      add(acts) {
        groups.current = [acts, ...groups.current];
        return () => {
          groups.current = groups.current.filter((group) => group !== acts);
        };
      },
      open(name) {
        const show = () => setPanel({ name, acts: all(), typedAhead });
        ahead.current = '';
        // While its part comes the screen stays as it is: a gap that is shown once stands for a third of a second.
        if (opened.current.has(name)) show();
        else startOpening(show);
        opened.current.add(name);
      },
    }),
    [all, typedAhead],
  );

  // With what is shown, not a moment after it: Ctrl+K at once after a panel has gone would be taken for one pressed in it, and what is
  // typed next would run commands.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isOpening && event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) {
        ahead.current += event.key;
        event.preventDefault();
      }
      const busy =
        panel !== null || isOpening || document.querySelector('[role="dialog"][data-state="open"]');
      if (event.defaultPrevented || busy) return;
      const act = commandFor(all(), event, {
        typing: isTyping(event.target),
        singleKeys: preferences.singleKeys,
      });
      if (!act) return;
      event.preventDefault();
      act.run();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [all, panel, isOpening, preferences.singleKeys]);

  const close = () => setPanel(null);
  return (
    <ActsContext value={registry}>
      {children}
      <Suspense fallback={null}>{panel && renderPanel?.({ ...panel, onClose: close })}</Suspense>
    </ActsContext>
  );
}

/** The registry of acts. */
export function useCommandRegistry(): Registry {
  const registry = use(ActsContext);
  if (!registry) throw new Error('useCommandRegistry needs an CommandsProvider above it.');
  return registry;
}

/** Offers acts for as long as the component is shown; each runs as it was written last. */
export function useCommands(acts: readonly Command[]): void {
  const registry = useCommandRegistry();
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => registry.add(() => latest.current), [registry]);
}
