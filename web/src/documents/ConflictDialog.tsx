import { Box, Button, chakra } from '@chakra-ui/react';
import { differencesBetween, merged, type Difference, type Side } from '@steady-scatter/core/fields';
import { useId, useMemo, useState } from 'react';
import { say } from '@steady-scatter/words/common';
import { Panel } from '../ui/Panel.tsx';
import { placeOf, valueText } from './fieldWords.ts';
import type { Conflict } from './useDocument.ts';

export interface ConflictProps<Input> {
  /** What one of the kind is called. */
  one: string;
  conflict: Conflict<Input>;
  /** Saves this over what stands on the server. */
  onSave(input: Input): void;
  onTakeTheirs(): void;
  onClose(): void;
}

const WHOSE = { mine: say('common.mine'), theirs: say('common.theirs') } as const;

interface ChoiceProps {
  label: string;
  difference: Difference;
  side: Side;
  onChoose(side: Side): void;
}

/** One value that differs: both sides as they read, one of them chosen, and who changed it. */
function ValueChoice({ label, difference, side, onChoose }: ChoiceProps) {
  const name = useId();
  return (
    <Box as="fieldset" borderTopWidth="1px" borderColor="line" paddingY="10px">
      <chakra.legend fontSize="15px" fontWeight="semibold" color="ink.soft" float="left" width="100%">
        {label}
        {difference.changedBy === 'both' && (
          <chakra.span color="warn"> {say('common.bothChanged')}</chakra.span>
        )}
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
              <chakra.span color="ink.soft">{WHOSE[choice]}: </chakra.span>
              <b>{valueText(difference[choice]) ?? say('common.notThere')}</b>
            </span>
          </chakra.label>
        ))}
      </Box>
    </Box>
  );
}

const Deleted = <Input,>({ one, conflict, onSave, onTakeTheirs, onClose }: ConflictProps<Input>) => (
  <Panel
    title={say('common.deletedElsewhere')}
    onClose={onClose}
    footer={
      <>
        <Button onClick={onTakeTheirs}>{say('common.leaveDeleted')}</Button>
        <Button variant="solid" onClick={() => onSave(conflict.mine)}>
          {say('common.restoreMine')}
        </Button>
      </>
    }
  >
    {say('common.deletedElsewhereWhy', { one })}
  </Panel>
);

/** What two people changed on one thing, value by value; each side is proposed where it alone changed something. */
export default function ConflictDialog<Input>(props: ConflictProps<Input>) {
  const { one, conflict, onSave, onTakeTheirs, onClose } = props;
  const { base, mine, theirs } = conflict;
  const [chosen, setChosen] = useState<Readonly<Record<string, Side>>>({});
  const found = useMemo(
    () => (theirs ? differencesBetween(base ?? undefined, mine, theirs.input) : []),
    [base, mine, theirs],
  );
  if (!theirs) return <Deleted {...props} />;
  const proposed = new Map(
    found.map(({ path, changedBy }) => [path, changedBy === 'theirs' ? 'theirs' : 'mine'] as const),
  );
  const sideOf = (path: string): Side => chosen[path] ?? proposed.get(path) ?? 'mine';
  return (
    <Panel
      title={say('common.changedElsewhere')}
      size="lg"
      onClose={onClose}
      footer={
        <>
          <Button onClick={onTakeTheirs}>{say('common.showTheirs')}</Button>
          <Button onClick={() => onSave(mine)}>{say('common.keepMine')}</Button>
          <Button variant="solid" onClick={() => onSave(merged(mine, theirs.input, sideOf))}>
            {say('common.saveChosen')}
          </Button>
        </>
      }
    >
      <Box marginBottom="10px">
        {found.length === 0 ? say('common.sidesAlike') : say('common.changedElsewhereWhy', { one })}
      </Box>
      {found.map((difference) => (
        <ValueChoice
          key={difference.path}
          label={placeOf(difference, mine, theirs.input)}
          difference={difference}
          side={sideOf(difference.path)}
          onChoose={(side) => setChosen({ ...chosen, [difference.path]: side })}
        />
      ))}
    </Panel>
  );
}
