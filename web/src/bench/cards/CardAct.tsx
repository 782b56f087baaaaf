import { IdCard } from 'lucide-react';
import { useNavigate } from 'react-router';
import { say } from '@steady-scatter/words/bench';
import { CommandButton } from '../../ui/CommandButton.tsx';

/** To the card of one calibration. */
export function CardAct({ id }: { id: string }) {
  const navigate = useNavigate();
  return (
    <CommandButton
      icon={IdCard}
      label={say('bench.card.act')}
      onClick={() => void navigate(`/bench/cards?of=${id}`)}
    />
  );
}
