import { answersAtHand } from './api/atHand.ts';
import { loadPart } from './api/lazyCall.ts';
import { sendsBy } from './outbox/index.ts';

// Loaded when something is first sent: a new sheet works without them.
sendsBy('document', async (entry) =>
  (await loadPart(() => import('./documents/sendDocument.ts'))).sendDocument(entry),
);
sendsBy('row', async (entry) => (await loadPart(() => import('./events/appended.ts'))).sendRow(entry));
sendsBy('photo', async (entry) => (await loadPart(() => import('./photos/photos.ts'))).sendPhoto(entry));

answersAtHand(async () => (await import('./offline/atHand.ts')).deviceAnswers);
