import { Box, Button, chakra } from '@chakra-ui/react';
import {
  differences,
  mergeSheets,
  type Difference,
  type JobInput,
  type Side,
} from '@steady-scatter/core/worksheet';
import { useId, useState } from 'react';
import { Panel } from '../ui/Panel.tsx';

type Props = {
  mine: JobInput;
  /** What was kept meanwhile; null when the job was deleted. */
  theirs: JobInput | null;
  /** Keeps this sheet over what stands there. */
  onKeep(sheet: JobInput): void;
  /** Takes what stands there instead of what is on the screen. */
  onTakeTheirs(): void;
  onClose(): void;
};

type TermProps = { difference: Difference; side: Side; onChoose(side: Side): void };

/** One term that differs: both sides as they read, one of them chosen. */
function TermChoice({ difference, side, onChoose }: TermProps) {
  const name = useId();
  return (
    <Box as="fieldset" borderTopWidth="1px" borderColor="line" paddingY="10px">
      <chakra.legend fontSize="15px" fontWeight="semibold" color="ink.soft" float="left" width="100%">
        {difference.label}
      </chakra.legend>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="6px 16px" clear="both">
        {(['mine', 'theirs'] as const).map((choice) => (
          <chakra.label
            key={choice}
            display="flex"
            gap="10px"
            alignItems="center"
            minHeight="44px"
            cursor="pointer"
            overflowWrap="anywhere"
          >
            <input type="radio" name={name} checked={side === choice} onChange={() => onChoose(choice)} />
            <span>
              <chakra.span color="ink.soft">{choice === 'mine' ? 'Mine: ' : 'Theirs: '}</chakra.span>
              <b>{difference[choice] ?? 'not there'}</b>
            </span>
          </chakra.label>
        ))}
      </Box>
    </Box>
  );
}

const Deleted = ({ mine, onKeep, onTakeTheirs, onClose }: Props) => (
  <Panel
    title="Deleted elsewhere"
    onClose={onClose}
    footer={
      <>
        <Button onClick={onTakeTheirs}>Leave it deleted</Button>
        <Button variant="solid" onClick={() => onKeep(mine)}>
          Bring it back with mine
        </Button>
      </>
    }
  >
    Somebody deleted this job since you opened it. What you typed is still on this screen.
  </Panel>
);

/** Shows what two people changed on one job, term by term, and lets the person decide. */
export function ConflictDialog(props: Props) {
  const { mine, theirs, onKeep, onTakeTheirs, onClose } = props;
  const [chosen, setChosen] = useState<Readonly<Record<string, Side>>>({});
  if (!theirs) return <Deleted {...props} />;
  const found = differences(mine, theirs);
  const sideOf = (key: string): Side => chosen[key] ?? 'mine';
  return (
    <Panel
      title="Changed elsewhere"
      size="lg"
      onClose={onClose}
      footer={
        <>
          <Button onClick={onTakeTheirs}>Take theirs</Button>
          <Button onClick={() => onKeep(mine)}>Keep mine</Button>
          <Button variant="solid" onClick={() => onKeep(mergeSheets(mine, theirs, sideOf))}>
            Keep what is chosen
          </Button>
        </>
      }
    >
      <Box marginBottom="10px">
        {found.length === 0
          ? 'Both sides read the same; keep either.'
          : 'Somebody kept a change of this job since you opened it. Choose term by term, or one side as a whole.'}
      </Box>
      {found.map((difference) => (
        <TermChoice
          key={difference.key}
          difference={difference}
          side={sideOf(difference.key)}
          onChoose={(side) => setChosen({ ...chosen, [difference.key]: side })}
        />
      ))}
    </Panel>
  );
}
