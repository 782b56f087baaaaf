// Errors: wrong input as data, and the one catalogue of what is said about it.
// A code without words, or words without a code, fails a test.
export { collect, type Collected } from './collect.ts';
export { toResult, InputError, type ErrorFacts } from './InputError.ts';
export { suggestion } from './suggestion.ts';
export { WORDS, type ErrorCode } from './words.ts';
