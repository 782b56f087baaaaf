/** What is said of photos. */
export const photos = {
  'photos.one': 'Photo',
  'photos.take': 'Photo',
  'photos.alt': 'Photo of the work',
  'photos.open': 'Open photo',
  'photos.none': '{name} is no picture that this browser can read. Choose a JPEG, PNG or WebP.',
  'photos.silent': 'The server does not answer. The photo waits on this device.',
  'photos.notHere': 'The photo is not at hand: it needs the network.',
  'photos.removed': 'The picture was removed: {why} (SHA-256 {hash}…)',
  'photos.why': 'Why it is removed',
  'photos.remove': 'Remove picture',
} as const;
