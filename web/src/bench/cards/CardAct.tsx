import { IdCard } from 'lucide-react';
import { useNavigate } from 'react-router';
import { CommandButton } from '../../ui/CommandButton.tsx';

/** To the card of one calibration. */
export function CardAct({ id }: { id: string }) {
  const navigate = useNavigate();
  return <CommandButton icon={IdCard} label="Card" onClick={() => void navigate(`/bench/cards?of=${id}`)} />;
}
