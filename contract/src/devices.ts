import * as z from 'zod';

/** Which installation an answer is of, and which one a write is meant for. */
export const INSTALLATION_HEADER = 'Steady-Installation';

/** Where the certificate of the installation's own authority is. */
export const AUTHORITY_PATH = '/authority.crt';

/** What a device asks first: where this is reached, and whether it may. */
export const here = z.object({
  /** Address for links and QR codes; null: that of the page. */
  publicUrl: z.string().nullable(),
  /** This device may read and write: it is the machine itself, or it was paired. */
  trusted: z.boolean(),
  /** The network is let in, and these are the addresses; none: this machine alone. */
  addresses: z.array(z.string()),
  /** The same by HTTPS, which work without a network needs; none: it is not served. Told to whoever asks: it is where he has to go. */
  secureAddresses: z.array(z.string()),
  /** A phone has to trust the authority of this installation for them; its certificate is at AUTHORITY_PATH. */
  hasAuthority: z.boolean(),
  /** The code to pair with; told to the machine itself alone. */
  code: z.string().nullable(),
});

/** A code as read off the screen of the machine, spaces or not, and what the device is called. */
export const pairing = z.strictObject({
  code: z.string().max(40),
  name: z.string().trim().min(1).max(120),
});

/** A device that was paired. */
export const device = z.object({ id: z.string(), name: z.string(), since: z.string() });

export type Here = z.infer<typeof here>;
export type Device = z.infer<typeof device>;
