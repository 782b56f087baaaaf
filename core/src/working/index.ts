// Working: an answer as a line of arithmetic, with the origin of each term.
// Shared by screens, prints and exports; none of them computes anything again.
export {
  bandText,
  bracket,
  MISSING,
  operator,
  ORIGINS,
  term,
  termText,
  word,
  workingText,
  type Join,
  type Origin,
  type Reads,
  type Term,
  type Working,
} from './working.ts';
