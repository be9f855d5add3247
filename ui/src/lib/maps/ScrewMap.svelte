<script lang="ts">
  // Map of a device: outline or photo, screws and plugs in their places, the order as a path with numbers.
  import type { Schemas } from '../api';
  import { fixed } from '../format';
  import Button from '../parts/Button.svelte';
  import { say } from '../say';
  import ClassShape from './ClassShape.svelte';
  import { BOX, OUTLINES, wordY } from './outlines';

  export type MapPlace = Schemas['ModelPlaceOut'] & { is_out?: boolean; words?: string; explained?: string };
  interface Props {
    kind: string;
    places: MapPlace[];
    outline?: string | null;
    order?: string[];
    chosen?: string | null;
    faint?: (place: MapPlace) => boolean;
    onplace?: (place: MapPlace) => void;
    onground?: (x: number, y: number) => void;
    label: string;
  }
  let {
    kind,
    places,
    outline = null,
    order = [],
    chosen = null,
    faint = () => false,
    onplace,
    onground,
    label,
  }: Props = $props();

  // So wide a map has places of 44 px; a narrower one is made larger, and is moved under the finger.
  const FINGER_PX = 560;
  let width = $state(0);
  let large = $state(false);

  const drawn = $derived(OUTLINES[kind] ?? OUTLINES.other);
  const by = $derived(new Map(places.map((p) => [p.id, p])));
  const walk = $derived(order.map((id) => by.get(id)).filter((p) => p !== undefined));
  const px = (p: MapPlace) => p.x * BOX.width;
  const py = (p: MapPlace) => p.y * BOX.height;
  let svg: SVGSVGElement | undefined = $state();

  function ground(event: MouseEvent) {
    if (!onground || !svg) return;
    const box = svg.getBoundingClientRect();
    const clamp = (v: number) => Math.min(0.99, Math.max(0.01, v));
    onground(clamp((event.clientX - box.left) / box.width), clamp((event.clientY - box.top) / box.height));
  }

  function press(event: KeyboardEvent, place: MapPlace) {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    event.stopPropagation();
    onplace?.(place);
  }

  const words = (p: MapPlace) =>
    `${p.words || p.holds}${p.is_out === undefined ? '' : `, ${say(p.is_out ? 'place-out' : 'place-in')}`}`;
</script>

<!-- The list beside the map does all of this by keyboard. -->
{#if onplace && width && width < FINGER_PX}
  <Button onclick={() => (large = !large)}>{say(large ? 'map-whole' : 'map-larger')}</Button>
{/if}
<div class="frame" class:large bind:clientWidth={width}>
  <svg
    bind:this={svg}
    viewBox="0 0 {BOX.width} {BOX.height}"
    role={onplace || onground ? 'group' : 'img'}
    aria-label={label}
    class:placing={onground !== undefined}
    onclick={ground}
  >
    {#if outline}
      <image href="/api/photos/{outline}" width={BOX.width} height={BOX.height} preserveAspectRatio="xMidYMid slice" />
      <rect class="veil" width={BOX.width} height={BOX.height} />
    {:else if drawn}
      <path class="shell" d={drawn.shell} />
      {#each drawn.marks as mark (mark.words)}
        <path class="mark" d={mark.d} />
        <text class="word" x={mark.x} y={wordY(mark, places)}>{mark.words}</text>
      {/each}
    {/if}
    {#if walk.length > 1}
      <polyline class="walk" points={walk.map((p) => `${px(p)},${py(p)}`).join(' ')} />
    {/if}
    {#each places as place (place.id)}
      {@const at = order.indexOf(place.id)}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <g
        class="place"
        class:out={place.is_out}
        class:faint={faint(place)}
        class:chosen={chosen === place.id}
        role={onplace ? 'button' : undefined}
        tabindex={onplace ? 0 : undefined}
        aria-label={onplace ? words(place) : undefined}
        onclick={(e) => {
          if (!onplace) return;
          e.stopPropagation();
          onplace(place);
        }}
        onkeydown={(e) => press(e, place)}
      >
        <circle class="touch" cx={px(place)} cy={py(place)} r="38" />
        {#if place.kind === 'screw'}
          <ClassShape
            shape={place.shape}
            letter={place.letter}
            x={px(place)}
            y={py(place)}
            r={21}
            filled={!place.is_out}
          />
        {:else if place.kind === 'pad'}
          <rect class="pad" x={px(place) - 27} y={py(place) - 17} width="54" height="34" rx="4" />
          <text class="plug-word" x={px(place)} y={py(place) + 6}
            >{place.thickness_mm === null ? '?' : fixed(place.thickness_mm, 1)}</text
          >
          <text class="plug-word" x={px(place)} y={py(place) + 36}>{place.note || place.holds}</text>
        {:else}
          <path class="plug" d="M-22-13H14V13H-22ZM14-8H28M14 8H28" transform="translate({px(place)} {py(place)})" />
          <text class="plug-word" x={px(place)} y={py(place) + 34}>{place.note || place.holds}</text>
        {/if}
        {#if at >= 0 && order.length > 1}
          <g transform="translate({px(place) + 27} {py(place) - 25})">
            <circle class="number" r="15" />
            <text class="digit" y="6">{at + 1}</text>
          </g>
        {/if}
      </g>
    {/each}
  </svg>
</div>

<style>
  .frame {
    overflow: auto;
  }
  .frame.large svg {
    width: 40rem;
  }
  svg {
    display: block;
    width: 100%;
    height: auto;
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
    user-select: none;
    touch-action: manipulation;
  }
  .placing {
    cursor: crosshair;
  }
  .shell {
    fill: var(--paper);
    stroke: var(--edge);
    stroke-width: 4;
  }
  .mark {
    fill: none;
    stroke: var(--rule);
    stroke-width: 3;
  }
  .veil {
    fill: var(--paper);
    opacity: 0.25;
  }
  .word,
  .plug-word {
    fill: var(--soft);
    font-size: 20px;
    text-anchor: middle;
  }
  .plug-word {
    fill: var(--ink);
    font-size: 19px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 5px;
  }
  .walk {
    fill: none;
    stroke: var(--owl);
    stroke-width: 3.5;
    stroke-dasharray: 10 7;
    stroke-linejoin: round;
  }
  .touch {
    fill: transparent;
  }
  .plug {
    fill: var(--ink);
    stroke: var(--ink);
    stroke-width: 3.5;
  }
  .pad {
    fill: var(--after-tint);
    stroke: var(--after);
    stroke-width: 3;
  }
  .out .plug {
    fill: var(--sheet);
    stroke-dasharray: 6 4;
  }
  .out :global(path),
  .out :global(circle:not(.touch, .number)) {
    stroke-dasharray: 6 4;
  }
  .faint {
    opacity: 0.28;
  }
  .chosen .touch {
    fill: none;
    stroke: var(--owl);
    stroke-width: 5;
  }
  [role='button'] {
    cursor: pointer;
  }
  .place:focus {
    outline: none;
  }
  .place:focus-visible .touch {
    stroke: var(--owl);
    stroke-width: 4;
  }
  .number {
    fill: var(--owl);
  }
  .digit {
    fill: var(--on-owl);
    font-size: 18px;
    font-weight: 700;
    text-anchor: middle;
  }
</style>
