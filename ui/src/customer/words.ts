// What the pages of customers say.
import check from '$words/page-check.ftl?messages';
import text from '$words/page-customer.ftl?messages';
import { addWords, say } from '../lib/say';

addWords(check);
addWords(text);
export { say };
