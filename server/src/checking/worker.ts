// Runs in a thread of its own: checking what was written can take long, and everybody else is answered meanwhile.
import { parentPort } from 'node:worker_threads';
import { ZodError } from 'zod';
import { checkRead, LaterSchema, readJson, type Asked, type Checked } from './check.ts';

export interface Task {
  readonly asked: Asked;
  readonly body: Uint8Array;
}

export type Outcome =
  /** Told once, when it is there. */
  | { readonly ready: true }
  | { readonly checked: Checked }
  | { readonly isLater: true }
  | { readonly isUnreadable: true }
  | { readonly issues: ZodError['issues'] }
  | { readonly broke: { readonly name: string; readonly message: string; readonly stack: string } };

function outcomeOf({ asked, body }: Task): Outcome {
  const read = readJson(body);
  if (read === null) return { isUnreadable: true };
  try {
    return { checked: checkRead(asked, read.json) };
  } catch (error) {
    if (error instanceof LaterSchema) return { isLater: true };
    // As JSON, since an issue may carry what cannot be handed over.
    if (error instanceof ZodError) return { issues: JSON.parse(JSON.stringify(error.issues)) as ZodError['issues'] }; // prettier-ignore
    const { name: kind, message, stack = '' } = error instanceof Error ? error : new Error(String(error));
    return { broke: { name: kind, message, stack } };
  }
}

const tell = (outcome: Outcome) => parentPort?.postMessage(outcome, []);
parentPort?.on('message', (task: Task) => tell(outcomeOf(task)));
tell({ ready: true });
