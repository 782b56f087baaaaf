import { chakra } from '@chakra-ui/react';

/** Something to tick, as large as a gloved thumb needs it. */
export const CheckLine = ({ label, checked, onChange }: { label: string; checked: boolean; onChange(): void }) => (
  <chakra.label display="flex" gap="14px" alignItems="center" minHeight="touch" fontSize="18px" cursor="pointer">
    <chakra.input type="checkbox" width="28px" height="28px" flexShrink={0} accentColor="act" checked={checked} onChange={onChange} />
    {label}
  </chakra.label>
); // prettier-ignore
