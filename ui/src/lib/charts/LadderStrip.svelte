<script lang="ts">
  // The heat ladder laid down: one bar a run from the room on the left to the die on the right, on one scale.
  import { say } from '../say';
  import type { Ladder } from '../api';
  import { figure } from '../format';
  import { RUNGS } from '../words';
  import { highestRise } from './ladder';

  interface Props {
    before: Ladder | null;
    after: Ladder | null;
    culprit: string | null;
  }
  let { before, after, culprit }: Props = $props();
  const highest = $derived(highestRise([before, after]));
  const sides = $derived(
    [
      { name: 'before', ladder: before },
      { name: 'after', ladder: after },
    ].filter((s): s is { name: string; ladder: Ladder } => s.ladder !== null),
  );
</script>

<span class="strip lay-row">
  {#if sides.length}
    <span class="bars lay-stack" aria-hidden="true">
      {#each sides as side (side.name)}
        <span class="bar {side.name}">
          {#each side.ladder.rungs as rung (rung.name)}<i
              class:culprit={rung.name === culprit}
              style:width="{(100 * Math.max(0, rung.drop_k)) / highest}%"
            ></i>{/each}
        </span>
      {/each}
    </span>
    <span class="words lay-row">
      {#each sides as side, i (side.name)}{#if i}<span aria-hidden="true">→</span>{/if}<b class={side.name}
          ><span class="off-screen">{side.name} </span>{figure(side.ladder.die_c, 'MHz')} °C</b
        >{/each}{#if culprit}<span class="quiet"
          >{say('ladder-strip-bottleneck', { rung: (RUNGS[culprit] ?? culprit).toLowerCase() })}</span
        >{/if}
    </span>
  {:else}
    <span class="quiet">{say('ladder-strip-no-ladder-yet')}</span>
  {/if}
</span>

<style>
  .strip {
    flex: 1;
    align-items: center;
    gap: var(--gap-1) var(--gap-4);
    min-width: 0;
    color: var(--ink);
    font-weight: 400;
  }
  .bars {
    flex: 1 1 9rem;
    gap: 3px;
    max-width: 20rem;
    padding-left: 3px;
    border-left: 3px solid var(--ink);
  }
  .bar {
    display: flex;
    height: 0.8rem;
  }
  i {
    border: 2px solid var(--before);
    border-left-width: 0;
  }
  i:first-child {
    border-left-width: 2px;
  }
  .after i {
    border-color: var(--after);
    border-left-color: var(--paper);
    background: var(--after);
    box-shadow: inset 1.5px 0 0 var(--paper);
  }
  .before .culprit {
    background: repeating-linear-gradient(45deg, var(--before) 0 2px, transparent 2px 6px);
  }
  .words {
    align-items: baseline;
    gap: 0 0.5em;
  }
  b {
    font-family: var(--font-head);
    font-size: var(--size-2);
  }
</style>
