import { IdCard } from 'lucide-react';
import { useNavigate } from 'react-router';
import { ActButton } from '../../ui/ActButton.tsx';

/** To the card of one calibration. */
export function CardAct({ id }: { id: string }) {
  const navigate = useNavigate();
  return <ActButton icon={IdCard} label="Card" onClick={() => void navigate(`/bench/cards?of=${id}`)} />;
}
