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
        heading={`This ${one} is not here`}
        text="It may have been deleted."
        to={home.path}
        act={`See ${home.label}`}
      />
    );
  }
  if (error) {
    return (
      <Message
        heading={`The ${one} could not be opened`}
        text={explain(error)}
        onAct={onAgain}
        act="Try again"
      />
    );
  }
  return <Message heading={`Opening the ${one} …`} text="" />;
}
