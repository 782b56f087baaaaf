import { say } from '@steady-scatter/words/common';
import { ApiProblem } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { Message } from '../ui/Message.tsx';

interface Props {
  /** "job": what is being opened. */
  one: string;
  /** Where all of them stand. */
  home: { readonly path: string; readonly label: string };
  error: Error | null;
  onAgain(): void;
}

/** What stands on the screen until a kept thing is there, or when it does not come. */
export function OpeningMessage({ one, home, error, onAgain }: Props) {
  if (error instanceof ApiProblem && error.is('not-found', 'invalid')) {
    return (
      <Message
        heading={say('common.notHere', { one })}
        text={say('common.maybeDeleted')}
        to={home.path}
        act={say('common.seeHome', { home: home.label })}
      />
    );
  }
  if (error) {
    return (
      <Message
        heading={say('common.notOpened', { one })}
        text={explain(error)}
        onAct={onAgain}
        act={say('common.tryAgain')}
      />
    );
  }
  return <Message heading={say('common.opening', { one })} text="" />;
}
