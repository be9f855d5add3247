// The keys of bench mode.
import { wholeScreen } from '../../lib/bench/aids';
import type { KeyAction } from '../../lib/keys.svelte';
import type { Hands } from './hands.svelte';
import { say } from '$words/page-bench-mode.ftl';

/** What the page itself does for a key. */
interface PageKeys {
  photo: () => void;
  aloud: () => void;
  help: () => void;
}

export function keysOf(hands: Hands, page: PageKeys): KeyAction[] {
  const quiet = (run: () => void) => () => hands.mode !== 'reason' && run();
  return [
    {
      key: 'Enter',
      words: say('bench-mode-step-done-go-on'),
      alone: true,
      run: () => hands.down(),
      release: () => hands.up(),
    },
    { key: 'Backspace', words: say('bench-mode-take-last-step-back'), alone: true, run: () => hands.input('back') },
    { key: 'r', words: say('bench-mode-bring-again'), alone: true, run: () => hands.input('again') },
    { key: 'x', words: say('bench-mode-skip-this-step-with'), alone: true, run: () => hands.input('skip') },
    { key: 'm', words: say('bench-mode-something-went-wrong'), alone: true, run: () => hands.input('mishap') },
    { key: 't', words: say('bench-mode-start-clock'), alone: true, run: () => hands.input('clock') },
    { key: 'e', words: say('bench-mode-end-wait-early'), alone: true, run: () => hands.input('early') },
    { key: 'w', words: say('bench-mode-has-happened-record'), alone: true, run: () => hands.input('happened') },
    { key: 'p', words: say('bench-mode-photo-this-step'), alone: true, run: quiet(() => page.photo()) },
    { key: 's', words: say('bench-mode-say-step-aloud'), alone: true, run: quiet(page.aloud) },
    { key: 'f', words: say('bench-mode-whole-screen'), alone: true, run: () => void wholeScreen() },
    {
      key: 'ArrowRight',
      words: say('bench-mode-look-at-next-step'),
      alone: true,
      run: quiet(() => hands.jump(Math.min(hands.steps.length - 1, hands.index + 1))),
    },
    {
      key: 'ArrowLeft',
      words: say('bench-mode-look-at-step-before'),
      alone: true,
      run: quiet(() => hands.jump(Math.max(0, hands.index - 1))),
    },
    { key: '?', words: say('bench-mode-these-keys'), alone: true, run: () => page.help() },
    { key: 'Escape', words: say('bench-mode-leave-bench-mode'), alone: true, run: () => hands.input('cancel') },
    ...Array.from({ length: 10 }, (_, i) => ({
      key: String(i),
      words: i === 1 ? say('bench-mode-numbers-go-to-that') : '',
      alone: true,
      run: quiet(() => hands.digit(String(i))),
    })),
  ];
}
