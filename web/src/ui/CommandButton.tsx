import { Button, chakra } from '@chakra-ui/react';
import type { LucideIcon } from 'lucide-react';
import type { ComponentProps } from 'react';

type Props = ComponentProps<typeof Button> & { icon: LucideIcon; label: string };

/** An act in the bar over a screen: icon and word at a desk, the icon alone on a phone. */
export function CommandButton({ icon: Icon, label, ...rest }: Props) {
  return (
    <Button minWidth="44px" paddingX={{ base: '10px', md: '14px' }} aria-label={label} {...rest}>
      <Icon size={18} aria-hidden />
      <chakra.span hideBelow="md">{label}</chakra.span>
    </Button>
  );
}
