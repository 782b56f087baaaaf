import { Box, Button, chakra } from '@chakra-ui/react';
import { suggestion, type InputError } from '@steady-scatter/core/errors';
import { say, speak } from '@steady-scatter/words/common';

const idOf = (field: string) => `error-${field.replaceAll('.', '-')}`;

/** The id that a field points at with aria-describedby, while it has an error to say. */
export const errorId = (error: InputError | undefined): string | undefined => error && idOf(error.field);

type Props = {
  error: InputError | undefined;
  input: string;
  /** Types the suggestion instead. */
  onUse?: (text: string) => void;
};

/** One plain sentence under a field, with what would be right. */
export function FieldErrors({ error, input, onUse }: Props) {
  if (!error) return null;
  const instead = suggestion(error, input);
  return (
    <Box
      id={idOf(error.field)}
      role="alert"
      color="warn"
      fontSize="15px"
      fontWeight="semibold"
      marginTop="6px"
      overflowWrap="anywhere"
    >
      <chakra.span aria-hidden marginRight="6px">
        ▲
      </chakra.span>
      {speak(error.sentence)}
      {instead && onUse && (
        <Button size="xs" marginLeft="10px" onClick={() => onUse(instead)}>
          {say('common.useInstead', { instead })}
        </Button>
      )}
    </Box>
  );
}
