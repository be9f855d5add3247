import { describe, expect, it } from 'vitest';
import { hasWords } from './sift';

describe('sifting by words', () => {
  it.each([
    ['', true],
    ['heron', true],
    ['11 GREY', true],
    ['grey gh-2', true],
    ['grey goose', false],
  ])('%s', (find, fits) => expect(hasWords(find, ['Grey Heron 11', 'stiff paste', 'GH-24'])).toBe(fits));
});
