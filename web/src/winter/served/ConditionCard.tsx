import { Box, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/winter';
import { QrCode } from '../../ui/QrCode.tsx';
import type { Condition } from './conditions.ts';

/** What hangs on a machine in winter: a line for each condition. */
export interface ConditionSheet {
  readonly machine: string;
  readonly product: string;
  /** Pace and spacing that it holds for. */
  readonly held: string;
  readonly guide: string;
  readonly signed: string;
  readonly conditions: readonly Condition[];
  /** Where its code leads. */
  readonly link: string;
}

const cell = { padding: '3px 6px 3px 0', textAlign: 'left', verticalAlign: 'top' } as const;

/** The card by condition as it will be printed: black on white, so that it reads behind foil. */
export const ConditionCard = ({ sheet }: { sheet: ConditionSheet }) => (
  <Box
    as="article"
    aria-label={say('winter.card.of', { machine: sheet.machine, product: sheet.product })}
    bg="white"
    color="black"
    borderWidth="1px"
    borderColor="line.strong"
    width="440px"
    maxWidth="100%"
    padding="18px"
  >
    <Box fontSize="19px" fontWeight="bold" lineHeight="1.15">
      {sheet.machine}
    </Box>
    <Box fontSize="16px">{sheet.product}</Box>
    <Box fontSize="15px">{sheet.held}</Box>
    <chakra.table width="100%" fontSize="15px" marginTop="8px">
      <chakra.thead fontSize="13px">
        <tr>
          <chakra.th scope="col" {...cell}>
            {say('winter.card.when')}
          </chakra.th>
          <chakra.th scope="col" {...cell}>
            {say('winter.card.pavement')}
          </chakra.th>
          <chakra.th scope="col" {...cell} textAlign="right">
            {say('winter.card.set')}
          </chakra.th>
        </tr>
      </chakra.thead>
      <tbody>
        {sheet.conditions.map(({ id, when, pavement, mark, how, rate }) => (
          <chakra.tr key={id} borderTopWidth="1px" borderColor="black">
            <chakra.td {...cell}>
              {when}
              <Box fontSize="13px">{rate}</Box>
            </chakra.td>
            <chakra.td {...cell} whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
              {pavement}
            </chakra.td>
            <chakra.td {...cell} textAlign="right" fontWeight="bold" fontSize={mark === null ? '15px' : '22px'}>
              {mark ?? say('winter.card.none')}
              {how && <Box fontSize="13px">{how}</Box>}
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
    <Box display="flex" justifyContent="space-between" alignItems="end" gap="12px" marginTop="12px" fontSize="13px">
      <Box>
        {sheet.guide}
        <br />
        {sheet.signed}
      </Box>
      <Box width="76px" flexShrink={0}>
        <QrCode text={sheet.link} label={say('winter.card.leads')} />
      </Box>
    </Box>
  </Box>
); // prettier-ignore
