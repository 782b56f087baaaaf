import { Box, chakra } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import {
  guidePicture,
  guideRulers,
  type GuideInput,
  type GuideVersion,
  type GuideVersionInput,
  type RulerPart,
  type RulerPicture,
} from '@steady-scatter/core/winter';
import { useMemo } from 'react';
import { say } from '@steady-scatter/words/winter';
import { bandLabel, caseText, stretchText } from './guideTexts.ts';

interface Props {
  guide: GuideInput;
  /** As typed and as read. */
  version: GuideVersionInput;
  read: GuideVersion;
  onLine(id: string): void;
}

const Band = chakra('button', {
  base: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    bg: 'soft',
    borderWidth: '2px',
    borderColor: 'act',
    borderRadius: '4px',
    fontFamily: 'figure',
    fontSize: '15px',
    fontWeight: 'bold',
    overflow: 'hidden',
    whiteSpace: 'nowrap',
    cursor: 'pointer',
    _hover: { bg: 'paper' },
  },
});

/** How much goes down there, against the most of its kind. */
const Fill = chakra('span', {
  base: { position: 'absolute', insetX: 0, bottom: 0, bg: 'tape', opacity: 0.35 },
});

const placed = ({ from, to }: RulerPart) => ({
  left: `${(from * 100).toFixed(2)}%`,
  width: `${((to - from) * 100).toFixed(2)}%`,
});

/** A stretch that is wrong: hatched, so that it is not told by color alone. */
const Wrong = ({ part, how }: { part: RulerPart; how: 'gap' | 'overlap' }) => (
  <Box
    aria-hidden
    position="absolute"
    top={how === 'gap' ? '2px' : '-3px'}
    height={how === 'gap' ? 'auto' : '8px'}
    bottom={how === 'gap' ? '2px' : 'auto'}
    borderWidth={how === 'gap' ? '2px' : 0}
    borderStyle="dashed"
    borderColor="warn"
    pointerEvents="none"
    backgroundImage="repeating-linear-gradient(45deg, var(--chakra-colors-warn) 0 2px, transparent 2px 7px)"
    style={placed(part)}
  />
);

function Ruler({ picture, version, onLine }: { picture: RulerPicture } & Pick<Props, 'version' | 'onLine'>) {
  const { ruler, bands, gaps, overlaps } = picture;
  return (
    <>
      <Box fontSize="15px" lineHeight="1.2" overflowWrap="anywhere">
        {caseText(ruler)}
      </Box>
      <Box position="relative" height="44px" bg="ground" borderBottomWidth="1px" borderColor="line">
        {bands.map(({ line, share, ...part }) => (
          <Band
            key={line.id}
            type="button"
            style={placed(part)}
            aria-label={say('winter.guide.openBand', {
              of: caseText(ruler),
              rate: bandLabel(line, version.lines),
            })}
            onClick={() => onLine(line.id)}
          >
            <Fill style={{ height: `${(share * 100).toFixed(0)}%` }} />
            <Box position="relative">{bandLabel(line, version.lines)}</Box>
          </Band>
        ))}
        {gaps.map((gap) => (
          <Wrong key={gap.from} part={gap} how="gap" />
        ))}
        {overlaps.map((overlap) => (
          <Wrong key={`${overlap.from} ${overlap.to}`} part={overlap} how="overlap" />
        ))}
      </Box>
    </>
  );
}

/** What a guide says along the temperature, cold to warm: a ruler for each case, its bands to press, gaps and overlaps hatched. */
export function Rulers({ guide, version, read, onLine }: Props) {
  const rulers = useMemo(() => guideRulers(read.lines), [read]);
  const { ticks, rulers: pictures } = useMemo(
    () => guidePicture(rulers, guide.temperatureUnit),
    [rulers, guide.temperatureUnit],
  );
  if (pictures.length === 0) return <Box>{say('winter.guide.noBands')}</Box>;
  return (
    <>
      <Box
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(120px, 200px) minmax(0, 1fr)' }}
        gap={{ base: '4px 12px', md: '6px 14px' }}
        alignItems="center"
        paddingRight="14px"
      >
        {pictures.map((picture) => (
          <Ruler key={caseText(picture.ruler)} picture={picture} version={version} onLine={onLine} />
        ))}
        <Box hideBelow="md" />
        <Box position="relative" height="26px" aria-hidden fontSize="14px" fontVariantNumeric="tabular-nums">
          {ticks.map(({ at, degrees }) => (
            <Box
              key={degrees}
              position="absolute"
              transform="translateX(-50%)"
              borderColor="ink"
              style={{ left: `${(at * 100).toFixed(2)}%` }}
            >
              <Box width="1px" height="6px" bg="ink" margin="0 auto" />
              {String(degrees).replace('-', '−')}
            </Box>
          ))}
        </Box>
        <Box hideBelow="md" />
        <Box fontSize="15px" color="ink.soft">
          {say('winter.guide.axis', { unit: UNITS[guide.temperatureUnit].symbol })}
        </Box>
      </Box>
      <Troubles pictures={pictures} guide={guide} />
    </>
  );
}

/** Gaps and overlaps in words, under the rulers. */
function Troubles({ pictures, guide }: { pictures: readonly RulerPicture[]; guide: GuideInput }) {
  const told = (how: 'gap' | 'overlap', { ruler, ...of }: RulerPicture) =>
    of[how === 'gap' ? 'gaps' : 'overlaps'].map(({ stretch }) =>
      say('winter.guide.trouble', {
        how,
        of: caseText(ruler),
        at: stretchText(stretch, guide.temperatureUnit),
      }),
    );
  const lines = pictures.flatMap((picture) => [...told('gap', picture), ...told('overlap', picture)]);
  if (lines.length === 0) return null;
  return (
    <Box role="status" marginTop="12px">
      {lines.map((line) => (
        <Box key={line} color="warn" fontWeight="semibold">
          ▲ {line}
        </Box>
      ))}
    </Box>
  );
}
