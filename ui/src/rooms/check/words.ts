// What this room says.
import text from '$words/page-check.ftl?raw';
import { addWords, say } from '../../lib/say';

addWords(text);
export { say };
