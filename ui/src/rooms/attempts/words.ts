// What this room says.
import text from '$words/page-attempts.ftl?raw';
import { addWords, say } from '../../lib/say';

addWords(text);
export { say };
