import { Box, Button } from '@chakra-ui/react';
import {
  GUIDE_PRODUCTS,
  guideRateUnit,
  TREATMENTS,
  TRENDS,
  type GuideInput,
  type GuideLineInput,
} from '@steady-scatter/core/winter';
import { UNITS } from '@steady-scatter/core/quantities';
import { Trash2 } from 'lucide-react';
import { useId } from 'react';
import { nameOf, say } from '@steady-scatter/words/winter';
import type { DocFormProps } from '../../documents/DocPage.tsx';
import { BareUnit } from '../../ui/BareUnit.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { sentence } from '../../ui/sentence.ts';
import { bandText, caseText, ratesText } from './guideTexts.ts';

const TREATMENT = (['any', ...TREATMENTS] as const).map((id) => ({ id, label: nameOf('treatment', id) }));
const TREND = (['any', ...TRENDS] as const).map((id) => ({ id, label: nameOf('trend', id) }));
const PRODUCT = GUIDE_PRODUCTS.map((id) => ({ id, label: nameOf('guideProduct', id) }));
const SITUATIONS = (['frost', 'snow', 'rain', 'plowed'] as const).map((of) => say('winter.guide.situationOf', { of })); // prettier-ignore

interface Props extends Pick<DocFormProps<GuideInput>, 'input' | 'bind' | 'field' | 'removeAt'> {
  version: number;
  at: number;
  line: GuideLineInput;
  isOpen: boolean;
  setOpen(isOpen: boolean): void;
}

/** The fields of a line that is being changed. */
function Fields({ input, bind, field, removeAt, version, at, line }: Props) {
  const path = `versions.${version}.lines.${at}` as const;
  const list = useId();
  const rateUnit = UNITS[guideRateUnit(input, line.product)].symbol;
  const degrees = (name: 'cold' | 'warm', label: string, placeholder: string) => (
    <LabelledField label={label} placeholder={placeholder} unit={<BareUnit text={line[name].replace('-', '')} unit={input.temperatureUnit} />} {...field(`${path}.${name}`)} />
  );
  return (
    <Box display="grid" gap="10px 14px" gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))" alignItems="start" paddingBottom="12px">
      <Box>
        <LabelledField label={say('winter.guide.situation')} placeholder={say('winter.guide.situationOf', { of: 'frost' })} list={list} {...field(`${path}.situation`)} />
        <datalist id={list}>
          {SITUATIONS.map((situation) => <option key={situation} value={situation} />)}
        </datalist>
      </Box>
      <Choice label={say('winter.guide.treatment')} options={TREATMENT} {...bind(`${path}.treatment`)} />
      <Choice label={say('winter.guide.trend')} options={TREND} {...bind(`${path}.trend`)} />
      <Choice label={say('winter.guide.product')} options={PRODUCT} {...bind(`${path}.product`)} />
      {degrees('cold', say('winter.guide.cold'), input.temperatureUnit === 'degF' ? '23' : '-5')}
      {degrees('warm', say('winter.guide.warm'), input.temperatureUnit === 'degF' ? '28' : '-2')}
      <LabelledField label={say('winter.guide.low')} placeholder="2" inputMode="decimal" unit={<Box whiteSpace="nowrap" fontSize="14px">{rateUnit}</Box>} {...field(`${path}.low`)} />
      <LabelledField label={say('winter.guide.high')} placeholder="3" inputMode="decimal" unit={<Box whiteSpace="nowrap" fontSize="14px">{rateUnit}</Box>} {...field(`${path}.high`)} />
      <LabelledField label={say('winter.guide.advice')} placeholder={say('winter.guide.adviceHint')} {...field(`${path}.advice`)} />
      <Button variant="ghost" minHeight="touch" alignSelf="end" justifySelf="start" onClick={() => removeAt(`versions.${version}.lines`, at)}>
        <Trash2 size={18} /> {say('winter.guide.removeLine')}
      </Button>
    </Box>
  );
} // prettier-ignore

/** A line of a guide in words; its fields one press away. */
export function LineRow(props: Props) {
  const { input, line, isOpen, setOpen } = props;
  const named = `${caseText(line)}, ${bandText(line, input.temperatureUnit)}`;
  return (
    <Box as="li" id={`line-${line.id}`} borderBottomWidth="1px" borderColor="line">
      <Box
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0, 1fr) auto', md: 'minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1.6fr) auto' }}
        gap="0 14px"
        alignItems="center"
        minHeight="touch"
      >
        <Box overflowWrap="anywhere">{caseText(line)}</Box>
        <Box gridRow={{ base: 2, md: 'auto' }} fontVariantNumeric="tabular-nums">
          {sentence(bandText(line, input.temperatureUnit))}
        </Box>
        <Box gridRow={{ base: 3, md: 'auto' }} fontWeight="semibold" overflowWrap="anywhere">
          {ratesText(line, input)}
          {line.advice && line.low + line.high !== '' && <Box as="span" fontWeight="normal"> · {line.advice}</Box>}
        </Box>
        <Button
          variant="ghost"
          minHeight="touch"
          gridColumn={{ base: 2, md: 'auto' }}
          gridRow={{ base: 1, md: 'auto' }}
          aria-expanded={isOpen}
          aria-label={say(isOpen ? 'common.doneWith' : 'common.changeNamed', { name: named })}
          onClick={() => setOpen(!isOpen)}
        >
          {say(isOpen ? 'common.done' : 'common.change')}
        </Button>
      </Box>
      {isOpen && <Fields {...props} />}
    </Box>
  );
} // prettier-ignore
