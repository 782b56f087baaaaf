import { Box, Button } from '@chakra-ui/react';
import { memo, useId, useState, type ReactNode } from 'react';
import { say } from '@steady-scatter/words/common';

interface Props {
  /** What it is about: "pass spacing". */
  name: string;
  /** What is taken, and where from: "Passes 9 ft apart, from the tray test of 10 Apr". */
  text: string;
  picture?: ReactNode;
  /** Something is wrong with it, or missing: it is shown open until somebody is done with it. */
  isWrong?: boolean;
  children: ReactNode;
}

interface LineProps extends Pick<Props, 'name' | 'text' | 'picture'> {
  isOpen: boolean;
  /** Id of its fields. */
  fields: string;
  setOpen(isOpen: boolean): void;
}

const Line = memo(function LineOf({ name, text, picture, isOpen, fields, setOpen }: LineProps) {
  return (
    <Box
      display="flex"
      alignItems="center"
      justifyContent="space-between"
      gap="14px"
      paddingY="4px"
      borderColor="line"
      borderBottomWidth={isOpen ? 0 : '1px'}
    >
      <Box fontSize="17px" minWidth={0} overflowWrap="anywhere" display="flex" gap="14px" alignItems="center">
        {picture}
        {text}
      </Box>
      <Button
        variant="ghost"
        flex="0 0 auto"
        minHeight="touch"
        aria-expanded={isOpen}
        aria-controls={fields}
        aria-label={isOpen ? say('common.doneWith', { name }) : say('common.changeNamed', { name })}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? say('common.done') : say('common.change')}
      </Button>
    </Box>
  );
});

/** What is assumed, in a line, and its fields one press away. */
export function StatedDefault({ isWrong = false, children, ...line }: Props) {
  const [isOpen, setOpen] = useState(isWrong);
  // Open for what is wrong, it stays so: a field must not go away under the first digit.
  if (isWrong && !isOpen) setOpen(true);
  const id = useId();
  return (
    <>
      <Line {...line} isOpen={isOpen} fields={id} setOpen={setOpen} />
      {isOpen && (
        <Box
          id={id}
          display="grid"
          gap="10px 14px"
          gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))"
          alignItems="start"
          paddingBottom="14px"
          borderBottomWidth="1px"
          borderColor="line"
        >
          {children}
        </Box>
      )}
    </>
  );
}
