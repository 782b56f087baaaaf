import { Box, chakra } from '@chakra-ui/react';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { isThrown } from '@steady-scatter/core/machines';
import type { PackageUnit } from '@steady-scatter/core/loads';
import type { LengthUnit, UnitId } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/load';
import { shownIn } from '../units/shownIn.ts';
import { fillEndText, lengthText, zoneText } from './texts.ts';
import type { RunOfSheet } from './useRunSheet.ts';

/** Units that a run sheet is told in. */
export interface RunUnits {
  readonly amount: PackageUnit;
  /** Of what goes into the machine: the mix where it is a tank. */
  readonly fill: UnitId;
  readonly length: LengthUnit;
}

const Row = chakra('tr', { base: { borderTopWidth: '1px', borderColor: 'line' } });
const Head = chakra('th', {
  base: {
    textAlign: 'left',
    verticalAlign: 'baseline',
    fontWeight: 'medium',
    paddingY: '9px',
    paddingRight: '8px',
  },
});
const Cell = chakra('td', {
  base: {
    textAlign: 'right',
    fontVariantNumeric: 'tabular-nums',
    verticalAlign: 'baseline',
    paddingLeft: '8px',
    paddingY: '9px',
  },
});
const Label = chakra('th', {
  base: { fontSize: '14px', fontWeight: 'semibold', color: 'ink.soft', paddingBottom: '2px' },
});

interface Props {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
}

/** Each zone with its amount and its setting. */
function Zones({ run, of, units }: Props) {
  const throws = isThrown(of.machine?.kind ?? null);
  return run.zones.map((zone) => (
    <Row key={zone.zone}>
      <Head scope="row">
        {zoneText(zone, run, throws)}
        {zone.setting && (
          <Box as="span" color="ink.soft" fontWeight="normal">
            {' '}
            {say('load.zone.set', { mark: zone.setting.mark })}
          </Box>
        )}
      </Head>
      <Cell fontWeight="bold" whiteSpace="nowrap">
        {shownIn(zone.amountSi, units.amount)}
      </Cell>
      <Cell whiteSpace="nowrap">{lengthText(zone.lengthM, units.length)}</Cell>
    </Row>
  ));
}

/** Fills that are shown one by one; of more the first ones, then the last. */
const MAX_FILLS = 6;

/** Each fill, and where it should run out. */
function Fills({ run, of, units }: Props) {
  const { fills } = run;
  if (fills.length < 2) return null;
  const shown =
    fills.length <= MAX_FILLS
      ? fills.map((_, index) => index)
      : [...Array.from({ length: MAX_FILLS - 1 }, (_, index) => index), fills.length - 1];
  return shown.map((at) => (
    <Row key={at}>
      <Head scope="row" color="ink.soft" fontWeight="normal">
        {at > 0 && shown.indexOf(at) > 0 && shown[shown.indexOf(at) - 1] !== at - 1 && <>… </>}
        {say(of.sheet.isMix ? 'load.tank.number' : 'load.fill.number', { number: at + 1 })}
      </Head>
      <Cell whiteSpace="nowrap">{shownIn(fills[at]!.amountSi, units.fill)}</Cell>
      <Cell>{fillEndText(fills[at]!, units.length)}</Cell>
    </Row>
  ));
}

/** What is weighed out for an area, zone by zone and fill by fill. */
export function LoadTable(props: Props) {
  const { run, of, units } = props;
  return (
    <chakra.table width="100%" fontSize="17px" marginTop="14px">
      <thead>
        <tr>
          <Label scope="col" textAlign="left">
            {say(units.amount === units.fill ? 'load.weigh' : 'load.measure')}
          </Label>
          <Label scope="col" textAlign="right">
            {say('load.table.amount')}
          </Label>
          <Label scope="col" textAlign="right">
            {say('load.table.lasts')}
          </Label>
        </tr>
      </thead>
      <tbody>
        <Zones {...props} />
        <Fills {...props} />
        <Row>
          <Head scope="row" fontWeight="bold">
            {run.name}
          </Head>
          <Cell fontWeight="bold" whiteSpace="nowrap">
            {shownIn(run.amountSi, units.amount)}
          </Cell>
          <Cell whiteSpace="nowrap" />
        </Row>
        {of.sheet.trims > 0 && run.spareSi > run.amountSi * 0.001 && (
          <Row>
            <Head scope="row" color="ink.soft" fontWeight="normal">
              {say('load.spare')}
            </Head>
            <Cell whiteSpace="nowrap" color="ink.soft">
              {shownIn(run.spareSi, units.amount)}
            </Cell>
            <Cell />
          </Row>
        )}
      </tbody>
    </chakra.table>
  );
}
