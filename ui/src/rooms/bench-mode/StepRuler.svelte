<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // All steps as the edge of a ruler: long thick ticks are done, hollow ones skipped, the owl's colour is here.
  import Dialog from '../../lib/parts/Dialog.svelte';
  import type { Step } from '../../lib/bench/types';

  interface Props {
    steps: Step[];
    here: number;
    onjump: (index: number) => void;
  }
  let open = $state(false);
  let { steps, here, onjump }: Props = $props();
  const NAMES: Record<string, string> = {
    open: say('step-ruler-open'),
    clean: say('step-ruler-clean'),
    fit: say('step-ruler-fit'),
    close: say('step-ruler-close'),
  };
</script>

<button
  class="whole"
  type="button"
  tabindex="-1"
  aria-label={say('step-ruler-all-steps', { here: here + 1, of: steps.length })}
  aria-haspopup="dialog"
  onclick={() => (open = true)}
>
  {#each steps as step, i (step.id)}
    {@const first = i === 0 || steps[i - 1]?.stage !== step.stage}
    <span
      class="tick"
      class:done={step.outcome?.how === 'done'}
      class:skipped={step.outcome?.how === 'skipped'}
      class:here={i === here}
    >
      {#if first}<span class="stage">{NAMES[step.stage]}</span>{/if}
      <i></i><b>{i + 1}</b>
    </span>
  {/each}
</button>
{#if open}
  <Dialog title={say('bench-mode-steps')} bind:open>
    <ol>
      {#each steps as step, i (step.id)}
        <li>
          <button
            class="row"
            class:here={i === here}
            type="button"
            aria-label={say('step-ruler-step-no', { i: i + 1, text: step.text, how: step.outcome?.how })}
            aria-current={i === here ? 'step' : undefined}
            onclick={() => {
              open = false;
              onjump(i);
            }}
          >
            <b>{i + 1}</b>
            <span>{step.text}</span>
            <small>{step.outcome ? (step.outcome.how === 'done' ? '✓' : '○') : NAMES[step.stage]}</small>
          </button>
        </li>
      {/each}
    </ol>
  </Dialog>
{/if}

<style>
  .whole {
    display: flex;
    flex-direction: column;
    width: 100%;
    height: 100%;
    padding: var(--gap-2) 0;
    border: 0;
    border-right: 3px solid var(--ink);
    background: none;
    overflow: hidden;
    cursor: pointer;
  }
  .tick {
    position: relative;
    flex: 1 1 0;
    min-height: 0.6rem;
    display: flex;
    align-items: center;
    justify-content: flex-end;
    gap: var(--gap-1);
    color: var(--soft);
    font-size: var(--size-0);
    line-height: 1;
  }
  .stage {
    position: absolute;
    left: 0;
    top: 0;
    font-weight: 700;
  }
  .tick b {
    order: -1;
    font-weight: 400;
  }
  i {
    width: 0.9rem;
    border-bottom: 2px solid var(--edge);
  }
  .done i {
    width: 1.5rem;
    border-bottom: 5px solid var(--ink);
  }
  .skipped i {
    width: 1.5rem;
    height: 6px;
    border: 1.5px solid var(--ink);
    border-right: 0;
  }
  .here i {
    width: 2.6rem;
    border: 0;
    border-bottom: 7px solid var(--owl);
  }
  .tick.here b {
    color: var(--owl);
    font-size: var(--size-2);
    font-weight: 750;
  }
  .row {
    display: grid;
    grid-template-columns: 2rem minmax(0, 1fr) auto;
    gap: var(--gap-3);
    align-items: center;
    width: 100%;
    min-height: 4rem;
    padding: var(--gap-1) var(--gap-2);
    border: 0;
    border-bottom: 1px solid var(--rule);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  .row.here {
    background: var(--owl-tint);
    box-shadow: inset 5px 0 0 var(--owl);
  }
  small {
    color: var(--soft);
  }
  /* On a narrow screen the ruler lies above the step, and is too short for numbers. */
  @media (max-width: 900px) {
    .whole {
      flex-direction: row;
      align-items: end;
      height: var(--target);
      padding: 0;
      border-right: 0;
      border-bottom: 3px solid var(--ink);
    }
    .tick {
      justify-content: center;
      align-items: end;
      min-width: 0;
      height: 100%;
    }
    .tick:not(.here) b {
      display: none;
    }
    .tick.here b {
      position: absolute;
      bottom: 1.6rem;
    }
    .stage {
      top: var(--gap-1);
      z-index: 1;
      background: var(--paper);
    }
    i,
    .done i,
    .skipped i,
    .here i {
      width: 3px;
      height: 0.6rem;
      border: 0;
      background: var(--edge);
    }
    .done i {
      width: 5px;
      height: 0.9rem;
      background: var(--ink);
    }
    .skipped i {
      background: none;
      border: 1.5px solid var(--ink);
      border-bottom: 0;
    }
    .here i {
      width: 8px;
      height: 1.4rem;
      background: var(--owl);
    }
  }
</style>
