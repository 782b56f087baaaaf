import { STATUS_WORDS } from '../documents/statusWords.ts';
import { Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { say, speak } from '@steady-scatter/words/sheet';
import type { DocumentStatus } from '../documents/useDocument.ts';
import { useSheetForm } from '../sheet/sheet.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';

const Title = chakra('input', {
  base: {
    fieldSizing: 'content',
    minWidth: '12ch',
    maxWidth: '100%',
    font: 'inherit',
    fontSize: '21px',
    fontWeight: 'bold',
    bg: 'transparent',
    minHeight: '40px',
    paddingX: '6px',
    marginLeft: '-6px',
    borderRadius: '6px',
    _placeholder: { color: 'ink.soft', fontWeight: 'medium', opacity: 1 },
    _hover: { bg: 'soft' },
    _focus: { bg: 'paper' },
  },
});

const Day = chakra('input', {
  base: {
    font: 'inherit',
    fontSize: '15px',
    bg: 'transparent',
    color: 'ink.soft',
    minHeight: '40px',
    borderRadius: '6px',
    paddingX: '4px',
  },
});

type Props = {
  isSample: boolean;
  status: DocumentStatus;
  /** It was changed elsewhere while it is typed on here. */
  isOvertaken: boolean;
  otherTab: boolean;
  /** What keeps it from being saved. */
  wrong: InputError | undefined;
  /** Why it was not saved, and how that is decided. */
  refusal: { readonly words: string; readonly onDecide: (() => void) | null } | null;
};

/** The job's name and day, changed in place, and how they stand. */
export function SheetHeading({ isSample, status, isOvertaken, otherTab, wrong, refusal }: Props) {
  const { register } = useSheetForm();
  const words = [
    isOvertaken ? say('sheet.job.overtaken') : STATUS_WORDS[status],
    otherTab ? say('sheet.job.otherTab') : null,
  ]
    .filter(Boolean)
    .join('; ');
  const wrongAt = (field: string) =>
    wrong?.field === field && { 'aria-invalid': true, 'aria-describedby': 'error-of-job' };
  return (
    <>
      <chakra.h1 srOnly>{say('sheet.job.worksheet')}</chakra.h1>
      <Title
        {...register('name')}
        aria-label={say('sheet.job.name')}
        placeholder={say('sheet.job.nameHint')}
        maxLength={120}
        autoComplete="off"
        {...wrongAt('name')}
      />
      <Day {...register('onDay')} type="date" aria-label={say('sheet.job.day')} {...wrongAt('onDay')} />
      {isSample && <SampleBadge />}
      {words && (
        <chakra.span fontSize="15px" color="ink.soft" data-noprint>
          {words}
        </chakra.span>
      )}
      {refusal && (
        <chakra.span role="alert" color="warn" fontWeight="semibold" data-noprint>
          ▲ {refusal.words}
          {refusal.onDecide && (
            <Button size="sm" minHeight="44px" marginLeft="10px" onClick={refusal.onDecide}>
              {say('common.compare')}
            </Button>
          )}
        </chakra.span>
      )}
      {wrong && (
        <chakra.span
          id="error-of-job"
          role="alert"
          color="warn"
          fontWeight="semibold"
          fontSize="15px"
          flexBasis="100%"
        >
          ▲ {speak(wrong.sentence)}
        </chakra.span>
      )}
    </>
  );
}
