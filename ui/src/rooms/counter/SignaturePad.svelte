<script lang="ts">
  // A signature is drawn with a finger, a pen or the mouse, and kept as strokes. Who cannot draw is not kept out: the
  // keyboard cannot sign, and paper can: the ticket has a line for it.
  import { say } from '$words/page-counter.ftl';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';

  interface Props {
    name: string;
    busy: boolean;
    errors: Record<string, string>;
    onsign: (name: string, strokes: number[][][]) => void;
  }
  let { name: given, busy, errors, onsign }: Props = $props();
  // svelte-ignore state_referenced_locally
  let name = $state(given);
  let strokes = $state<number[][][]>([]);
  let drawing = false;
  let pad: SVGSVGElement | undefined = $state();
  const [WIDTH, HEIGHT] = [300, 100];
  const NEAR = 0.003;

  /** Where it was touched, as a share of the pad's width. */
  function place(event: PointerEvent): number[] {
    const box = pad?.getBoundingClientRect();
    if (!box) return [0, 0];
    const share = (v: number) => Math.round(v * 10_000) / 10_000;
    return [share((event.clientX - box.left) / box.width), share((event.clientY - box.top) / box.width)];
  }
  function down(event: PointerEvent) {
    if (event.button !== 0) return;
    drawing = true;
    pad?.setPointerCapture(event.pointerId);
    strokes.push([place(event)]);
  }
  function move(event: PointerEvent) {
    const stroke = strokes.at(-1);
    if (!drawing || !stroke) return;
    const [x = 0, y = 0] = place(event);
    const [lastX = 0, lastY = 0] = stroke.at(-1) ?? [];
    if (Math.hypot(x - lastX, y - lastY) > NEAR) stroke.push([x, y]);
  }
  const path = $derived(
    strokes
      .map(
        (stroke) =>
          `M${stroke.map(([x = 0, y = 0]) => `${(x * WIDTH).toFixed(1)} ${(y * WIDTH).toFixed(1)}`).join('L')}`,
      )
      .join(''),
  );
</script>

<div class="sign">
  <svg
    bind:this={pad}
    viewBox="0 0 {WIDTH} {HEIGHT}"
    role="img"
    aria-label={say('pad-is')}
    onpointerdown={down}
    onpointermove={move}
    onpointerup={() => (drawing = false)}
    onpointercancel={() => (drawing = false)}
  >
    <path class="base" d="M15 80H285" />
    <path d={path} />
    {#if !strokes.length}<text x="150" y="55" text-anchor="middle">{say('pad-here')}</text>{/if}
  </svg>
  {#if errors.strokes}<p class="error" role="alert">{errors.strokes}</p>{/if}
  <div class="row lay-row">
    <TextField label={say('pad-name')} name="signed_by" bind:value={name} error={errors.name} />
    <Button onclick={() => (strokes = [])}>{say('pad-clear')}</Button>
    <Button kind="main" {busy} onclick={() => onsign(name, $state.snapshot(strokes))}>{say('pad-keep')}</Button>
  </div>
</div>

<style>
  .sign {
    max-width: 38rem;
  }
  svg {
    display: block;
    width: 100%;
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    cursor: crosshair;
    touch-action: none;
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .base {
    stroke: var(--rule);
    stroke-width: 1;
  }
  text {
    fill: var(--soft);
    font-size: 11px;
    pointer-events: none;
  }
  .error {
    margin-top: var(--gap-2);
    color: var(--halt);
    font-weight: 620;
  }
  .row {
    align-items: end;
    margin-top: var(--gap-3);
  }
</style>
