/** How a field of a form looks where it does not stand in a line of working. */
export const fieldBox = {
  bg: 'paper',
  color: 'ink',
  borderWidth: '1px',
  borderColor: 'line.strong',
  borderRadius: '8px',
  minHeight: '44px',
  paddingX: '10px',
  fontSize: '16px',
  '&[aria-invalid=true]': { borderColor: 'warn', borderWidth: '2px' },
} as const;
