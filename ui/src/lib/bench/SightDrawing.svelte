<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // A drawing to compare with, of a part in a state. Drawn from few strokes so that it reads at arm's length.
  interface Props {
    part: string;
    seen: string;
  }
  let { part, seen }: Props = $props();
  const FINS = Array.from({ length: 9 }, (_, i) => 14 + 9 * i);
</script>

<svg viewBox="0 0 100 72" aria-hidden="true">
  {#if part === 'fins'}
    {#each FINS as x, i (x)}
      <path class="line" d={seen === 'bent' && i > 3 && i < 7 ? `M${x} 12Q${x + 10} 36 ${x} 60` : `M${x} 12V60`} />
    {/each}
    {#if seen === 'dusty'}<path class="dust" d="M12 46Q22 40 32 47T52 45T72 47T88 44V60H12Z" />{/if}
    {#if seen === 'felt'}<path class="felt" d="M8 26Q20 18 34 26T60 24T92 27V60H8Z" />{/if}
  {:else if part === 'fan'}
    <g transform="rotate({seen === 'wobbles' ? 14 : 0} 50 36)">
      <circle class="line" cx="50" cy="36" r="28" />
      <circle class="ink" cx="50" cy="36" r="7" />
      {#each [0, 60, 120, 180, 240, 300] as turn (turn)}
        <path class="line" d="M50 28Q60 20 56 11" transform="rotate({turn} 50 36)" />
      {/each}
    </g>
    {#if seen === 'free'}<path class="turn" d="M82 20A34 34 0 0 1 82 52" /><path
        class="turn"
        d="M77 48L82 53L88 48"
      />{/if}
    {#if seen === 'drags'}<path class="bad" d="M16 14L28 26M28 14L16 26" />{/if}
  {:else if part === 'contact'}
    <rect class="die" x="18" y="10" width="64" height="52" />
    {#if seen === 'full'}<rect class="paste" x="21" y="13" width="58" height="46" />{/if}
    {#if seen === 'one_sided'}<path class="paste" d="M21 13H48Q40 36 46 59H21Z" />{/if}
    {#if seen === 'dry_patch'}
      <path class="paste" fill-rule="evenodd" d="M21 13H79V59H21ZM50 22Q66 26 62 40Q54 52 40 46Q30 34 50 22Z" />
    {/if}
    {#if seen === 'pumped_out'}
      <path class="paste" fill-rule="evenodd" d="M10 4H90V68H10ZM26 17V55H74V17Z" />
    {/if}
    {#if seen === 'chalk'}
      <rect class="chalk" x="21" y="13" width="58" height="46" />
      <path
        class="line"
        d="M24 26L38 22L44 32L58 26L76 34M26 48L42 42L54 52L74 46M38 22L36 13M58 26L62 13M54 52L52 59"
      />
    {/if}
    {#if seen === 'still_liquid'}
      <path class="paste" d="M21 13H79V59H66Q64 70 60 59H44Q42 68 38 59H21Z" />
      <path class="shine" d="M30 20H52M30 26H42" />
    {/if}
    {#if seen === 'alloyed'}
      <path class="alloy" d="M26 20Q40 10 58 18T76 36Q72 56 52 54T24 44Z" />
      <path class="shine" d="M40 26L48 34M52 24L62 34M42 40L50 46" />
    {/if}
  {:else if part === 'plate'}
    <rect class={seen === 'copper' ? 'copper' : 'metal'} x="14" y="14" width="72" height="44" rx="3" />
    {#if seen === 'nickel'}<path class="shine" d="M24 50L56 20M40 52L70 24" />{/if}
    {#if seen === 'aluminium'}<path class="line" d="M20 22H80M20 30H80M20 38H80M20 46H80" />{/if}
    <text x="50" y="42"
      >{seen === 'copper'
        ? say('sight-drawing-cu')
        : seen === 'nickel'
          ? say('sight-drawing-ni')
          : say('sight-drawing-al')}</text
    >
  {:else if part === 'surroundings'}
    <rect class="die" x="36" y="22" width="28" height="28" />
    {#if seen !== 'parts_none' && !seen.includes('aluminium')}
      {#each [[22, 18], [72, 18], [22, 48], [72, 48], [22, 33], [72, 33]] as [x, y] (`${x}-${y}`)}
        <rect class="ink" x={x ?? 0} y={y ?? 0} width="7" height="5" />
      {/each}
    {/if}
    {#if seen === 'coat_whole'}<path class="coat" d="M14 10H86V62H14ZM33 19V53H67V19Z" fill-rule="evenodd" />{/if}
    {#if seen === 'aluminium'}<rect class="metal" x="74" y="12" width="18" height="48" /><text x="83" y="40"
        >{say('sight-drawing-al')}</text
      >{/if}
    {#if seen === 'no_aluminium'}<path class="turn" d="M74 36L80 43L92 27" />{/if}
  {:else if part === 'pads'}
    <rect class="pad" x="16" y="24" width="68" height="24" rx={seen === 'sound' ? 3 : 1} />
    {#if seen === 'oily'}<path class="coat" d="M10 50Q30 42 50 52T92 50V64H10Z" /><circle
        class="coat"
        cx="30"
        cy="62"
        r="4"
      />{/if}
    {#if seen === 'torn'}<path class="gap" d="M40 22L48 32L42 38L50 50H62L54 40L60 34L54 22Z" />{/if}
  {:else if part === 'corrosion'}
    <path class="board" d="M10 12H90V60H10Z" />
    <path class="line" d="M18 24H44L52 32H82M18 46H40L48 40H70" />
    {#if seen !== 'none'}<circle class="felt" cx="52" cy="33" r="7" /><circle class="felt" cx="40" cy="46" r="5" />{/if}
    {#if seen === 'eaten'}<path class="gap" d="M44 27L60 27L62 39L50 42L46 36Z" /><path
        class="bad"
        d="M46 29L60 41M60 29L46 41"
      />{/if}
  {:else if part === 'battery'}
    <path class="line" d={seen === 'swollen' ? 'M14 50Q50 8 86 50Z' : 'M14 34H86V50H14Z'} />
    <path class="line" d="M8 54H92" />
    {#if seen === 'leaking'}<path class="coat" d="M60 54Q66 66 78 66T92 54Z" />{/if}
  {/if}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    height: auto;
  }
  .line,
  .turn,
  .bad,
  .shine {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.2;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .turn {
    stroke: var(--after);
    stroke-width: 3;
  }
  .bad {
    stroke: var(--halt);
    stroke-width: 3.4;
  }
  .shine {
    stroke: var(--sheet);
  }
  .ink {
    fill: var(--ink);
  }
  .die {
    fill: var(--well);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .paste,
  .pad {
    fill: var(--edge);
  }
  .chalk,
  .metal {
    fill: var(--rule);
    stroke: var(--edge);
  }
  .alloy {
    fill: var(--soft);
  }
  .copper {
    fill: var(--before-tint);
    stroke: var(--before);
    stroke-width: 2;
  }
  .dust {
    fill: var(--rule);
    opacity: 0.8;
  }
  .felt {
    fill: var(--soft);
    opacity: 0.8;
  }
  .coat {
    fill: var(--owl-tint);
    stroke: var(--owl);
    stroke-width: 1.5;
  }
  .board {
    fill: var(--after-tint);
    stroke: var(--after);
    stroke-width: 2;
  }
  .gap {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  text {
    fill: var(--ink);
    font-size: 15px;
    font-weight: 700;
    text-anchor: middle;
  }
</style>
