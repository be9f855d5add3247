// A message file: see build/words.ts.
declare module '*.ftl' {
  export const say: typeof import('./lib/say').say;
}
declare module '*.ftl?messages' {
  const messages: import('./lib/say').Messages;
  export default messages;
}
declare module 'virtual:rooms' {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a room takes the parts of its address
  export const ROOMS: Record<string, () => Promise<{ default: import('svelte').Component<any> }>>;
}
