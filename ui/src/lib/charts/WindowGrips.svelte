<script lang="ts">
  import { say } from '../say';
  // The two ends of the settled window and the stretch between them, to be dragged by hand or moved by arrow keys.
  import type { Linear } from './linear';
  import { clock } from '../format';
  import { moveWindow, type Grip } from './window';

  interface Props {
    shown: [number, number];
    x: Linear;
    y: number;
    side: 'before' | 'after';
    onmove: (window: [number, number]) => void;
    onset: (window: [number, number]) => void;
    oncancel: () => void;
  }
  let { shown, x, y, side, onmove, onset, oncancel }: Props = $props();

  let drag: { grip: Grip; fromX: number; start: [number, number] } | null = null;
  let settle: ReturnType<typeof setTimeout> | undefined;
  const range = $derived(x.range());
  const seen = (t: number) => Math.min(range[1], Math.max(range[0], x(t)));
  const grips = $derived([
    { grip: 'both' as const, left: seen(shown[0]), wide: Math.max(0, seen(shown[1]) - seen(shown[0])) },
    { grip: 'from' as const, left: seen(shown[0]) - 36, wide: 44 },
    { grip: 'to' as const, left: seen(shown[1]) - 8, wide: 44 },
  ]);
  const WORDS: Record<Grip, string> = {
    both: say('window-grips-move-stretch-figures-come'),
    from: say('window-grips-where-stretch-begins'),
    to: say('window-grips-where-stretch-ends'),
  };

  function moved(event: PointerEvent): [number, number] | null {
    if (!drag) return null;
    const [low, high] = x.domain();
    return moveWindow(drag.start, drag.grip, x.invert(event.clientX) - x.invert(drag.fromX), low, high);
  }

  function onKey(event: KeyboardEvent, grip: Grip) {
    const way = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (event.key === 'Escape') oncancel();
    if (!way) return;
    event.preventDefault();
    const [low, high] = x.domain();
    const next = moveWindow(shown, grip, way * (event.shiftKey ? 60 : 5), low, high);
    onmove(next);
    clearTimeout(settle);
    settle = setTimeout(() => onset(next), 500);
  }
</script>

{#each grips as g (g.grip)}
  <button
    type="button"
    class="{g.grip} {side}"
    role="slider"
    aria-label={WORDS[g.grip]}
    aria-valuemin={Math.round(x.domain()[0])}
    aria-valuemax={Math.round(x.domain()[1])}
    aria-valuenow={Math.round(g.grip === 'to' ? shown[1] : shown[0])}
    aria-valuetext={say('window-grips-to-after-load', { shown: clock(shown[0]), shown_2: clock(shown[1]) })}
    title={WORDS[g.grip]}
    style:left="{g.left}px"
    style:top="{y - 22}px"
    style:width="{g.wide}px"
    onpointerdown={(e) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      drag = { grip: g.grip, fromX: e.clientX, start: shown };
    }}
    onpointermove={(e) => {
      const next = moved(e);
      if (next) onmove(next);
    }}
    onpointerup={(e) => {
      const next = moved(e);
      const began = drag?.start;
      drag = null;
      if (next && began && (Math.abs(next[0] - began[0]) > 0.5 || Math.abs(next[1] - began[1]) > 0.5)) onset(next);
      else oncancel();
    }}
    onkeydown={(e) => onKey(e, g.grip)}
  ></button>
{/each}

<style>
  button {
    position: absolute;
    height: 44px;
    padding: 0;
    border: 0;
    background: none;
    cursor: ew-resize;
    touch-action: none;
  }
  .both {
    cursor: grab;
  }
  button:focus-visible {
    outline: 3px solid var(--owl);
    outline-offset: -6px;
    border-radius: var(--round);
  }
  .from::after,
  .to::after {
    content: '';
    position: absolute;
    top: 8px;
    width: 9px;
    height: 28px;
    border-radius: 5px;
    border: 2px solid var(--paper);
    background: var(--before);
  }
  .after:is(.from, .to)::after {
    background: var(--after);
  }
  .from::after {
    right: 3px;
  }
  .to::after {
    left: 3px;
  }
  @media print {
    button {
      display: none;
    }
  }
</style>
