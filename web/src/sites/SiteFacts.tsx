import { Box, Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { lengthUnitFor } from '@steady-scatter/core/fields';
import {
  showLength,
  WRITTEN,
  writeSite,
  type SiteResult,
  type SiteInput,
  type WrittenFormat,
} from '@steady-scatter/core/ground';
import { showNumber, type LengthUnit } from '@steady-scatter/core/quantities';
import { nameOf, rich, say } from '@steady-scatter/words/sites';
import type { Message } from '@steady-scatter/core/messages';
import { isWrongAt, type FieldsOf } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { useNotices } from '../notices/notices.tsx';
import { saveFile } from '../ui/saveFile.ts';
import { Section } from '../ui/Section.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { LENGTH_CHOICES } from './units.ts';
import { richly, TAGS } from '../ui/richly.tsx';

interface Props extends FieldsOf<SiteInput> {
  input: SiteInput;
  errorAt(field: string): InputError | undefined;
  reading: SiteResult;
}

const Message = ({ children }: { children: React.ReactNode }) => (
  <Box fontSize="16px" marginTop="8px">
    {children}
  </Box>
);

/** One's own pace and wheel, from a line of known length. */
function PaceDefault(props: Props) {
  const {
    input,
    reading: { paces },
    bind,
    field,
  } = props;
  const lengthUnit = lengthUnitFor(input.areas[0]?.shownIn ?? 'm2');
  const walked = paces.pace;
  const isWrong = isWrongAt(
    props,
    'pace.line',
    'pace.wheel',
    ...input.pace.walks.map((_, index) => `pace.walks.${index}`),
  );
  const text = walked
    ? say('sites.pace.walked', {
        pace: showLength(walked.paceM, lengthUnit === 'ft' ? 'ft' : 'm').number,
        unit: lengthUnit === 'ft' ? 'ft' : 'm',
        walks: walked.walks,
      })
    : say('sites.pace.none');
  return (
    <Box data-noprint marginBottom="18px">
      <StatedDefault name={say('sites.part.pace')} text={text} isWrong={isWrong}>
        <LabelledField
          label={say('sites.pace.line')}
          placeholder={say('sites.pace.lineHint')}
          {...field('pace.line')}
        />
        <Choice<LengthUnit> label={say('sites.pace.unit')} options={LENGTH_CHOICES} {...bind('pace.unit')} />
        {input.pace.walks.map((_, index) => (
          <LabelledField
            // oxlint-disable-next-line react/no-array-index-key -- the walk's number is its identity
            key={index}
            label={say('sites.pace.walk', { number: index + 1 })}
            inputMode="decimal"
            {...field(`pace.walks.${index}`)}
          />
        ))}
        <LabelledField
          label={say('sites.pace.wheel')}
          placeholder={say('sites.pace.wheelHint')}
          {...field('pace.wheel')}
        />
        <Box gridColumn="1 / -1">
          {walked && (
            <Message>
              {richly(
                rich('sites.pace.is', {
                  ...TAGS,
                  pace: showLength(walked.paceM, lengthUnit === 'ft' ? 'ft' : 'm').number,
                  unit: lengthUnit === 'ft' ? 'ft' : 'm',
                  walks: walked.scatter === null ? 1 : walked.walks,
                  percent: showNumber((walked.scatter ?? 0) * 100, 2),
                  band: showNumber(walked.areaBand * 100, 2),
                }),
              )}
            </Message>
          )}
          {paces.wheelFactor !== 1 && (
            <Message>{say('sites.pace.wheelTimes', { factor: showNumber(paces.wheelFactor, 4) })}</Message>
          )}
        </Box>
      </StatedDefault>
    </Box>
  );
}

/** Where the site lies, and the site as a file. */
function PlaceSection({ input, reading, field }: Props) {
  const notices = useNotices();
  const save = (format: WrittenFormat) => {
    if (!reading.place) {
      document.querySelector<HTMLElement>('#site-place input')?.focus();
      notices.tell(say('sites.place.lacks'));
      return;
    }
    const text = writeSite(input, reading, reading.place, format);
    saveFile(`${input.name.trim() || 'site'}.${format}`, WRITTEN[format].type, text);
  };
  return (
    <Section id="site-place" heading={say('sites.place.heading')} noPrint>
      <Fields>
        <LabelledField label={say('sites.place.latitude')} placeholder="47.4012" {...field('place.lat')} />
        <LabelledField label={say('sites.place.longitude')} placeholder="-31.2043" {...field('place.lon')} />
      </Fields>
      <Box display="flex" flexWrap="wrap" gap="8px" alignItems="center" marginTop="10px">
        <Box color="ink.soft" fontSize="15px">
          {say('sites.place.save')}
        </Box>
        {(Object.keys(WRITTEN) as WrittenFormat[]).map((format) => (
          <Button key={format} size="sm" minHeight="44px" onClick={() => save(format)}>
            {nameOf('boundaryFormat', format)}
          </Button>
        ))}
      </Box>
    </Section>
  );
}

/** What belongs to a site as a whole. */
export function SiteFacts(props: Props) {
  return (
    <Box maxWidth="1100px" marginTop="28px" borderTopWidth="1px" borderColor="line" paddingTop="18px">
      <PaceDefault {...props} />
      <PlaceSection {...props} />
      <NotesField label={say('sites.notes')} {...props.bind('notes')} />
    </Box>
  );
}
