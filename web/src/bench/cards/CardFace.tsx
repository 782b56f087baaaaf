import { Box } from '@chakra-ui/react';
import type { Card } from '@steady-scatter/core/testing';
import { say, speak } from '@steady-scatter/words/bench';
import { checkLines, hasChart, isLongMark } from './cardSizes.ts';
import { QrCode } from '../../ui/QrCode.tsx';

/** A card as it will be printed: black on white, so that it reads behind foil in the sun. */
export function CardFace({ card, link }: { card: Card; link: string }) {
  const product = card.product.map(speak).join(', ');
  return (
    <Box
      as="article"
      aria-label={say('bench.card.of', { machine: card.machine, product })}
      bg="white"
      color="black"
      borderWidth="1px"
      borderColor="line.strong"
      width="360px"
      maxWidth="100%"
      minHeight="508px"
      padding="20px"
      display="flex"
      flexDirection="column"
    >
      <Box fontSize="19px" fontWeight="bold" lineHeight="1.15">
        {card.machine}
      </Box>
      <Box fontSize="16px">{product}</Box>
      {card.purpose && (
        <Box fontSize="16px" fontWeight="bold">
          {card.purpose}
        </Box>
      )}
      <Box display="flex" alignItems="end" justifyContent="space-between" marginTop="8px" gap="10px">
        <Box>
          <Box fontSize="14px">{card.control}</Box>
          <Box
            fontFamily="figure"
            fontWeight="bold"
            fontSize={isLongMark(card) ? '44px' : '84px'}
            lineHeight="0.9"
            css={{ fontStretch: '82%' }}
          >
            {card.setting}
          </Box>
        </Box>
        <Box textAlign="right" fontSize="17px" lineHeight="1.25">
          <b>{card.rate}</b>
          {card.band && ` ±${card.band}`} {card.rateUnit}
          <br />
          {speak(card.pace)}
          <br />
          {speak(card.spacing)}
          {card.second && (
            <>
              <br />
              {speak(card.second)}
            </>
          )}
        </Box>
      </Box>
      {hasChart(card) && (
        <Box as="table" width="100%" marginTop="12px" fontSize="18px" fontVariantNumeric="tabular-nums">
          <tbody>
            {card.lines.map(({ setting, rate, isKept }) => (
              <Box
                as="tr"
                key={setting}
                borderTopWidth="1px"
                borderColor="black"
                fontWeight={isKept ? 'bold' : 'normal'}
              >
                <td>
                  {isKept ? '▸ ' : ''}
                  {setting}
                </td>
                <Box as="td" textAlign="right">
                  {rate}
                </Box>
              </Box>
            ))}
          </tbody>
        </Box>
      )}
      {Array.from({ length: checkLines(card) }, (_, index) => (
        // oxlint-disable-next-line react/no-array-index-key -- they are all alike
        <Box
          key={index}
          height="28px"
          fontSize="13px"
          paddingTop="8px"
          borderTopWidth="1px"
          borderColor="black"
        >
          {index === 0 && say('bench.card.checks')}
        </Box>
      ))}
      <Box
        display="flex"
        justifyContent="space-between"
        alignItems="end"
        gap="12px"
        marginTop="auto"
        paddingTop="12px"
        fontSize="14px"
      >
        <Box>
          {card.signed}
          {card.state && (
            <>
              <br />
              {say('bench.card.state', { state: card.state })}
            </>
          )}
          {hasChart(card) && (
            <>
              <br />
              {say('bench.card.closedSide')}
            </>
          )}
        </Box>
        <Box width="84px" flexShrink={0}>
          <QrCode text={link} label={say('bench.card.leads')} />
        </Box>
      </Box>
    </Box>
  );
}
