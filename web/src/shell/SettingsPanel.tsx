import SettingsDialog from '../settings/SettingsDialog.tsx';
import PeopleLinks from './PeopleLinks.tsx';

/** The settings, with the way to the people of the crew. */
export default function SettingsPanel({ onClose }: { onClose(): void }) {
  return <SettingsDialog onClose={onClose} people={<PeopleLinks onGo={onClose} />} />;
}
