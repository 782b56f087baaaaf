import { Box, chakra } from '@chakra-ui/react';
import { memo, useId, type ReactNode } from 'react';
import { useStable } from './useStable.ts';

const Card = chakra('label', {
  base: {
    display: 'flex',
    flexDirection: 'column',
    justifyContent: 'center',
    minHeight: '56px',
    maxWidth: '100%',
    paddingX: '14px',
    paddingY: '8px',
    bg: 'paper',
    borderWidth: '2px',
    borderColor: 'line',
    borderRadius: '8px',
    cursor: 'pointer',
    fontSize: '17px',
    overflowWrap: 'anywhere',
    _hover: { bg: 'soft' },
    '&:has(:checked)': { borderColor: 'act', fontWeight: 'bold' },
    '&:has(:disabled)': { cursor: 'default', opacity: 0.7 },
    '&:has(:focus-visible)': { outline: '3px solid', outlineColor: 'water', outlineOffset: '2px' },
    '& > input': { srOnly: true },
    '& > small': { display: 'block', fontSize: '15px', color: 'ink.soft', fontWeight: 'normal' },
  },
});

export interface CardOption<Id extends string> {
  readonly id: Id;
  readonly label: string;
  /** A second, smaller line: what is known of it. */
  readonly detail?: string | undefined;
  readonly picture?: ReactNode;
}

interface Props<Id extends string> {
  label: string;
  /** None chosen yet: null. */
  value: Id | null;
  options: readonly CardOption<Id>[];
  /** All of one size, in columns: for pictures. */
  isGrid?: boolean;
  /** It stands as it is: something rests on it. */
  isFixed?: boolean;
  onChange(id: Id): void;
  /** Stands after the cards: the way to another one. */
  children?: ReactNode;
}

interface AnswerProps<Id extends string> extends CardOption<Id> {
  /** Of the question. */
  name: string;
  isChosen: boolean;
  isDisabled: boolean;
  choose(id: Id): void;
}

const Answer = memo(function AnswerOf(props: AnswerProps<string>) {
  const { id, label, detail, picture, name, isChosen, isDisabled, choose } = props;
  return (
    <Card>
      <input type="radio" name={name} checked={isChosen} disabled={isDisabled} onChange={() => choose(id)} />
      {picture}
      <span>{label}</span> {detail && <small>{detail}</small>}
    </Card>
  );
}) as <Id extends string>(props: AnswerProps<Id>) => ReactNode;

/** A question with its answers side by side, each a card that can be pressed. */
export function CardChoice<Id extends string>({
  label,
  value,
  options,
  isGrid = false,
  isFixed = false,
  onChange,
  children,
}: Props<Id>) {
  const name = useId();
  const choose = useStable(onChange);
  return (
    <Box
      as="fieldset"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '130px minmax(0, 1fr)' }}
      gap="6px 20px"
      borderBottomWidth="1px"
      borderColor="line"
      paddingBottom="16px"
      marginBottom="16px"
      minWidth={0}
    >
      <chakra.legend fontWeight="bold" fontSize="17px" float="left" paddingTop={{ md: '14px' }}>
        {label}
      </chakra.legend>
      <Box
        display={isGrid ? 'grid' : 'flex'}
        gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(auto-fill, minmax(168px, 1fr))' }}
        flexWrap="wrap"
        gap="8px"
        alignItems="stretch"
        minWidth={0}
      >
        {options.map((option) => (
          <Answer
            key={option.id}
            {...option}
            name={name}
            isChosen={option.id === value}
            isDisabled={isFixed && option.id !== value}
            choose={choose}
          />
        ))}
        {children}
      </Box>
    </Box>
  );
}
