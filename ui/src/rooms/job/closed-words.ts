// What is said of a job that is handed over.
import text from '$words/page-links.ftl?raw';
import { addWords, say } from '../../lib/say';

addWords(text);
export { say };
