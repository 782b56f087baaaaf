import type { CalibrationAim } from '@steady-scatter/core/testing';
import { IdCard, Snowflake } from 'lucide-react';
import { useNavigate } from 'react-router';
import { say } from '@steady-scatter/words/bench';
import { CommandButton } from '../../ui/CommandButton.tsx';

/** To the card of one calibration, and to the one by condition where it follows a rate guide. */
export function CardActs({ id, guide, signOff }: { id: string } & Pick<CalibrationAim, 'guide' | 'signOff'>) {
  const navigate = useNavigate();
  return (
    <>
      {guide !== '' && (
        <CommandButton
          icon={Snowflake}
          label={say('bench.card.byCondition')}
          onClick={() => void navigate(`/winter/charts/${id}`)}
        />
      )}
      {signOff && (
        <CommandButton
          icon={IdCard}
          label={say('bench.card.act')}
          onClick={() => void navigate(`/bench/cards?of=${id}`)}
        />
      )}
    </>
  );
}
