// Message: what core has to say, as data. No sentence stands in core.
export { eachOnce, message, type Fact, type Facts, type Message, type Speak } from './message.ts';
