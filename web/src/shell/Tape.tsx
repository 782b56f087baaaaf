import { Box, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/shell';

/** One stop on the tape: where it leads, what it holds or still lacks. */
export interface Stop {
  readonly id: string;
  readonly label: string;
  readonly holds: string;
  readonly lacks: boolean;
}

/** Brings a stop into sight and puts the focus on its first field. */
export function goToStop(id: string): void {
  const section = document.getElementById(id);
  section?.scrollIntoView({ block: 'nearest' });
  section?.querySelector<HTMLElement>('input, button')?.focus();
}

const StopLink = chakra('a', {
  base: {
    position: 'relative',
    flex: '1 1 0',
    minWidth: 0,
    maxWidth: { md: '210px' },
    padding: '14px 12px 8px 14px',
    fontSize: '14px',
    lineHeight: 1.25,
    borderRight: '2px solid',
    borderColor: 'tape.ink',
    outlineOffset: '-4px',
    _hover: { bg: 'rgba(0, 0, 0, 0.08)' },
    '&[aria-current]': { bg: 'tape.ink', color: 'tape' },
  },
});

/** A job as a measuring tape, with its stops in the order of the work. Nothing forces the order. */
export function Tape({ stops, current }: { stops: readonly Stop[]; current: string }) {
  return (
    <Box
      as="nav"
      aria-label={say('shell.stops')}
      data-noprint
      bg="tape"
      color="tape.ink"
      borderBottom="2px solid"
      borderColor="rgba(0, 0, 0, 0.36)"
      backgroundImage="repeating-linear-gradient(90deg, rgb(0 0 0 / 0.55) 0 1px, transparent 1px 12px)"
      backgroundSize="100% 8px"
      backgroundRepeat="no-repeat"
      display="flex"
    >
      {stops.map(({ id, label, holds, lacks }) => (
        <StopLink
          key={id}
          href={`#${id}`}
          aria-current={id === current ? 'step' : undefined}
          onClick={(event) => {
            event.preventDefault();
            goToStop(id);
          }}
        >
          <chakra.b display="block" fontSize="16px">
            {label}
          </chakra.b>
          <chakra.span
            display="block"
            overflow="hidden"
            textOverflow="ellipsis"
            whiteSpace="nowrap"
            fontStyle={lacks ? 'italic' : 'normal'}
          >
            {holds}
          </chakra.span>
        </StopLink>
      ))}
    </Box>
  );
}
