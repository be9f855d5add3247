// What these pages say.
import text from '$words/page-data.ftl?raw';
import { addWords, say } from '../../lib/say';

addWords(text);
export { say };
