import { Box, Button, chakra } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { say } from '@steady-scatter/words/bench';
import { useStopwatch } from './useStopwatch.ts';

const Face = chakra('button', {
  base: {
    width: '100%',
    minHeight: { base: '148px', md: '112px' },
    borderRadius: '12px',
    borderWidth: '2px',
    borderColor: 'ink',
    bg: 'paper',
    color: 'ink',
    cursor: 'pointer',
    touchAction: 'manipulation',
    '&[aria-pressed=true]': { bg: 'tape', color: 'tape.ink', borderColor: 'tape.ink' },
  },
});

interface Props {
  /** Where it is put away, so that a reload does not stop it. */
  storeKey: string;
  /** Time to aim for, s. */
  aimS: number | null;
  /** Takes laps one after the other without standing still. */
  running?: boolean;
  /** Space presses it: one watch of a screen does. */
  listens?: boolean;
  /** When to press: "at the line", "at the end". */
  ends?: readonly [string, string];
  /** What a taken time is for: "time 2 of 3". */
  label: string;
  onLap(seconds: number): void;
}

const LINES = [say('testRun.watch.line'), say('testRun.watch.end')] as const;

const isTyping = (target: EventTarget | null): boolean => target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT|BUTTON|A)$/.test(target.tagName); // prettier-ignore

/** A stopwatch that is pressed anywhere on its face, or by space. */
export function Stopwatch({
  storeKey,
  aimS,
  running = false,
  listens = true,
  ends = LINES,
  label,
  onLap,
}: Props) {
  const watch = useStopwatch(storeKey, aimS);
  const act = running && watch.isRunning ? watch.split : watch.press;
  const last = watch.laps.at(-1);
  const count = watch.laps.length;
  const face = useRef<HTMLButtonElement>(null);
  // A time is handed on once, when it is taken; one that was put away is not.
  const handed = useRef(count);
  useEffect(() => {
    if (count > handed.current && last && !last.doubtful) onLap(last.seconds);
    handed.current = count;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isShown = face.current?.offsetParent !== null;
      if (event.key !== ' ' || event.repeat || isTyping(event.target) || !isShown || !listens) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [act, listens]);
  return (
    <Box marginTop="8px">
      <Face ref={face} type="button" aria-pressed={watch.isRunning} onClick={act}>
        <Box
          fontFamily="figure"
          fontWeight="bold"
          fontSize={{ base: '64px', md: '52px' }}
          lineHeight="1"
          fontVariantNumeric="tabular-nums"
          css={{ fontStretch: '82%' }}
        >
          {(watch.isRunning ? watch.seconds : (last?.seconds ?? 0)).toFixed(1)}
          <chakra.span fontSize="28px"> s</chakra.span>
        </Box>
        <Box fontSize="17px" fontWeight="semibold" marginTop="6px">
          {watch.isRunning
            ? say('testRun.watch.press', { when: ends[1] })
            : say('testRun.watch.pressFor', { when: ends[0], label: label && `, ${label}` })}
          {aimS !== null && say('testRun.watch.aim', { seconds: aimS.toFixed(1) })}
        </Box>
      </Face>
      {last?.doubtful && (
        <Box role="alert" color="warn" fontWeight="semibold" marginTop="6px">
          {say('testRun.watch.slept')}
        </Box>
      )}
      {running && count > 0 && (
        <Button minHeight="touch" marginTop="8px" onClick={watch.clear}>
          {say('testRun.watch.again')}
        </Button>
      )}
    </Box>
  );
}
