import { ROLES } from './tokens.ts';

/** Where it stands in the page: what the app takes over. */
export const PLACE = '<div id="root"></div>';

/** The colours of one light as custom properties. */
const colours = (light: 0 | 1) =>
  (['ground', 'rail', 'tape.on.rail'] as const)
    .map((role) => `--${role.replaceAll('.', '-')}: ${ROLES[role][light]};`)
    .join(' ');

/**
 * What the page shows until the app does: ground and rail where they will stand, in the light of the device. It is part of the page itself, so
 * that it is painted before any script is read.
 *
 * @param name said on the rail, and in the middle where a rail has no room for it
 */
export const paintedFirst = (name: string): string => `<div id="root"><style>
  #first { ${colours(0)} position: fixed; inset: 0; background: var(--ground); }
  #first > div { position: absolute; inset: auto 0 0; height: 64px; background: var(--rail); }
  #first > p { position: absolute; inset: 40% 0 auto; margin: 0; text-align: center; font: bold 19px/1 "Archivo Variable", sans-serif; color: var(--rail); }
  @media (prefers-color-scheme: dark) {
    #first { ${colours(1)} }
    #first > p { color: var(--tape-on-rail); }
  }
  @media (min-width: 768px) {
    #first > div { inset: 0 auto 0 0; width: 84px; height: auto; }
    #first > p { inset: 14px auto auto 4px; width: 76px; color: var(--tape-on-rail); }
  }
</style>
<div id="first"><div></div><p>${name}</p></div></div>`;
