import { Box } from '@chakra-ui/react';
import { evaluateProduct } from '@steady-scatter/core/products';
import { showQuantity } from '@steady-scatter/core/quantities';
import { perArea } from '@steady-scatter/core/testing';
import { SHARES, type Share } from '@steady-scatter/core/winter';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/winter';
import { shownIn } from '../../units/shownIn.ts';
import { AnswerBox } from '../../ui/AnswerBox.tsx';
import { BigNumber } from '../../ui/BigNumber.tsx';
import { CardChoice } from '../../ui/CardChoice.tsx';
import { WarningBox } from '../../ui/WarningBox.tsx';
import { isPlain, settingText } from '../settingText.ts';
import { degreesRead } from '../degrees.ts';
import type { NightInput } from './nightInput.ts';
import { rateUnitOf } from './rateUnitOf.ts';
import type { Night, NightMachine } from './useNight.ts';

interface Props {
  input: NightInput;
  night: Night;
  set(changed: Partial<NightInput>): void;
}

/** What this rate holds, or why it does nothing; and what does instead. */
function FateText({ night, input }: Props) {
  const { plan, pavement, product, instead } = night;
  if (!plan?.answer.line || pavement.degC === null || !product) return null;
  const { fate, holdsM, rateSi } = plan;
  if (fate === 'unknown' && rateSi === null) return null;
  const unit = rateUnitOf(night);
  const rate = rateSi === null ? '' : shownIn(rateSi, unit, 2);
  const water = holdsM === null ? '' : `${showQuantity(holdsM, 'mm', 2).number} mm`;
  const { limitC } = evaluateProduct(product.input).deicer;
  const text = say('winter.night.fate', {
    fate,
    product: product.input.name,
    rate,
    water,
    at: degreesRead(pavement.degC, input.unit),
    limit: limitC === null ? '' : degreesRead(limitC, input.unit),
  });
  if (fate !== 'limit' && fate !== 'cold' && fate !== 'freezes') return <Box fontSize="18px">{text}</Box>;
  return (
    <WarningBox marginY="8px" fontSize="18px">
      <b>{text}</b> {say('winter.night.instead', { some: instead.length > 0 ? 'some' : 'none', products: instead.join(', ') })}
    </WarningBox>
  );
} // prettier-ignore

function Machine({ machine, unit }: { machine: NightMachine; unit: ReturnType<typeof rateUnitOf> }) {
  const { name, calibration, setting, age } = machine;
  const { widthM, dimension } = machine.on.reading;
  const onGround = setting && perArea({ si: setting.rateSi, dimension }, widthM);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" paddingY="8px" display="grid" gridTemplateColumns="minmax(0, 1fr) auto" gap="2px 14px" alignItems="center">
      <Box>
        <Link to={`/bench/${calibration}`}>
          <b>{name}</b>
        </Link>
        {age.state !== 'fresh' && (
          <Box color="warn" fontWeight="semibold" fontSize="16px">
            ▲ {say('winter.night.age', { why: age.reasons.map(speak).join('; ') })}
          </Box>
        )}
        {setting === null && <Box fontSize="16px">{say('winter.night.noMark')}</Box>}
        {onGround !== null && <Box fontSize="16px">{shownIn(onGround, unit)}</Box>}
      </Box>
      {setting && (
        <Box fontFamily="figure" fontWeight="bold" fontSize={setting.line.mark.label.length > 4 ? '24px' : '52px'} lineHeight="1" textAlign="right" maxWidth="46vw">
          {setting.line.mark.label}
          {!isPlain(setting) && (
            <Box fontFamily="body" fontSize="16px" lineHeight="1.2">
              {settingText(setting)}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
} // prettier-ignore

/** What is missing before a rate can be told, or what the guide does not say. */
function lacking({ guide, version, product, plan, pavement, line }: Night, input: NightInput): string | null {
  if (!guide) return say('winter.night.lacks', { what: 'guide' });
  if (!version) return say('winter.night.lacks', { what: 'version' });
  if (!product) return say('winter.night.lacks', { what: 'product' });
  if (pavement.degC === null || pavement.isAir) return say('winter.night.lacks', { what: 'pavement' });
  if (input.situation === '') return say('winter.night.lacks', { what: 'situation' });
  if (line || !plan) return null;
  const { colder, warmer } = plan.answer;
  return say('winter.night.gap', { at: degreesRead(pavement.degC, input.unit), colder: colder ? 'some' : 'none', warmer: warmer ? 'some' : 'none' }); // prettier-ignore
}

/** The rate for tonight, the setting of each machine, and what it does on the pavement. */
export function NightAnswer(props: Props) {
  const { input, night, set } = props;
  const { plan, line, machines } = night;
  const lacks = lacking(night, input);
  const unit = rateUnitOf(night);
  const shown = plan?.rateSi == null ? null : showQuantity(plan.rateSi, unit, 2);
  const share = (of: number) => showQuantity(of, unit, 2).number;
  return (
    <AnswerBox>
      {lacks !== null && <Box fontSize="18px">{lacks}</Box>}
      {line && shown && (
        <>
          <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
            {say('winter.night.rate')}
          </Box>
          <BigNumber number={shown.number} unit={shown.unit} live />
          <Box fontSize="17px" marginBottom="8px">
            {line.rate && say('winter.night.range', { low: share(line.rate.low), high: share(line.rate.high), guide: night.guide?.input.name ?? '', share: plan?.share ?? 'middle', by: plan?.isShareByTrend ? 'trend' : 'hand' })}
          </Box>
          <CardChoice<Share>
            label={say('winter.night.share')}
            value={plan?.share ?? null}
            options={SHARES.map((id) => ({ id, label: say('winter.night.shareOf', { share: id }) }))}
            onChange={(next) => set({ share: next })}
          />
        </>
      )}
      {line && !shown && <Box fontSize="24px" fontWeight="bold">{line.advice}</Box>}
      {line && shown && line.advice && <Box fontSize="18px" fontWeight="bold">{line.advice}</Box>}
      <FateText {...props} />
      {line && shown && (
        <Box as="ul" listStyleType="none" marginTop="10px" aria-label={say('winter.night.settings')}>
          {machines.map((machine) => <Machine key={machine.calibration} machine={machine} unit={unit} />)}
          {machines.length === 0 && <Box fontSize="17px">{say('winter.night.noChart')} <Link to={`/bench/new?product=${encodeURIComponent(night.product?.input.name ?? '')}`}>{say('winter.night.testOne')}</Link></Box>}
        </Box>
      )}
      {line && shown && (
        <Box fontSize="16px" color="ink.soft" marginTop="8px">
          {say('winter.night.cautions', { form: night.asks })}
        </Box>
      )}
    </AnswerBox>
  );
} // prettier-ignore
