// What the pages of customers say.
import check from '$words/page-check.ftl?raw';
import text from '$words/page-customer.ftl?raw';
import { addWords, say } from '../lib/say';

addWords(check);
addWords(text);
export { say };
