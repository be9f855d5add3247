// What the drawing of a drop at its true size says.
import text from '$words/page-true-drop.ftl?raw';
import { addWords, say } from '../say';

addWords(text);
export { say };
