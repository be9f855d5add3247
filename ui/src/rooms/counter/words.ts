// What this room says.
import text from '$words/page-counter.ftl?raw';
import { addWords, say } from '../../lib/say';

addWords(text);
export { say };

export const PASSCODES = [
  { value: 'not_asked', label: say('counter-passcode-not-asked') },
  { value: 'typed_by_owner', label: say('counter-passcode-typed') },
  { value: 'kept_apart', label: say('counter-passcode-apart') },
];
