// A message file: see build/words.ts.
declare module '*.ftl' {
  export const say: typeof import('./lib/say').say;
}
