import { chakra } from '@chakra-ui/react';
import { Link } from 'react-router';

/** The name of a kept thing in its list, leading to it. */
export const NameLink = chakra(Link, {
  base: {
    fontWeight: 'bold',
    color: 'ink',
    textDecoration: 'underline',
    textDecorationColor: 'line.strong',
    textUnderlineOffset: '4px',
    _hover: { textDecorationColor: 'ink' },
    minHeight: { base: '44px', lg: 'auto' },
    display: 'inline-flex',
    alignItems: 'center',
  },
});
