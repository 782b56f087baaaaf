import { chakra } from '@chakra-ui/react';
import { useSheetForm } from './sheet.tsx';
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

const HOLDING_WORDS = {
  kept: null,
  held: 'not kept yet',
  'not-held': 'not kept, and this browser cannot hold it: keep it before you leave',
  overtaken: 'not kept yet, and changed elsewhere meanwhile',
} as const;

type Props = {
  isSample: boolean;
  holding: keyof typeof HOLDING_WORDS;
  otherTab: boolean;
  wrong: string | undefined;
};

/** The job's name and day, changed in place, and how they stand. */
export function SheetHeading({ isSample, holding, otherTab, wrong }: Props) {
  const { register } = useSheetForm();
  const words = [HOLDING_WORDS[holding], otherTab ? 'also typed on in another tab' : null]
    .filter(Boolean)
    .join('; ');
  return (
    <>
      <chakra.h1 srOnly>Worksheet</chakra.h1>
      <Title
        {...register('name')}
        aria-label="Name of the job"
        placeholder="Name this job"
        maxLength={120}
        autoComplete="off"
        aria-invalid={wrong !== undefined}
        aria-describedby={wrong && 'error-name'}
      />
      <Day {...register('onDay')} type="date" aria-label="Day of the job" />
      {isSample && <SampleBadge />}
      {words && (
        <chakra.span fontSize="15px" color="ink.soft" data-noprint>
          {words}
        </chakra.span>
      )}
      {wrong && (
        <chakra.span
          id="error-name"
          role="alert"
          color="warn"
          fontWeight="semibold"
          fontSize="15px"
          flexBasis="100%"
        >
          ▲ {wrong}
        </chakra.span>
      )}
    </>
  );
}
