<script lang="ts">
  import { say } from './words';
  // All steps as the edge of a ruler: long thick ticks are done, hollow ones skipped, the owl's colour is here.
  import type { Step } from '../../lib/bench/types';

  interface Props {
    steps: Step[];
    here: number;
    onjump: (index: number) => void;
  }
  let { steps, here, onjump }: Props = $props();
  const NAMES: Record<string, string> = {
    open: say('step-ruler-open'),
    clean: say('step-ruler-clean'),
    fit: say('step-ruler-fit'),
    close: say('step-ruler-close'),
  };
</script>

<ol>
  {#each steps as step, i (step.id)}
    {@const first = i === 0 || steps[i - 1]?.stage !== step.stage}
    <li class:first>
      {#if first}<span class="stage" aria-hidden="true">{NAMES[step.stage]}</span>{/if}
      <button
        type="button"
        tabindex="-1"
        class:done={step.outcome?.how === 'done'}
        class:skipped={step.outcome?.how === 'skipped'}
        class:here={i === here}
        aria-label={say('step-ruler-step-no', {
          i: i + 1,
          text: step.text,
          how: step.outcome?.how,
        })}
        aria-current={i === here ? 'step' : undefined}
        onclick={() => onjump(i)}
      >
        <i></i><b>{i + 1}</b>
      </button>
    </li>
  {/each}
</ol>

<style>
  ol {
    display: flex;
    flex-direction: column;
    height: 100%;
    padding: var(--gap-2) 0;
    border-right: 3px solid var(--ink);
    overflow: hidden;
  }
  li {
    position: relative;
    flex: 1 1 0;
    min-height: 0.6rem;
    display: flex;
    justify-content: flex-end;
  }
  .stage {
    position: absolute;
    left: 0;
    top: 0;
    font-size: var(--size-0);
    font-weight: 700;
    color: var(--soft);
    line-height: 1;
  }
  button {
    display: flex;
    align-items: center;
    justify-content: flex-end;
    gap: var(--gap-1);
    width: 100%;
    padding: 0;
    border: 0;
    background: none;
    color: var(--soft);
    font: inherit;
    font-size: var(--size-0);
    line-height: 1;
    cursor: pointer;
  }
  b {
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
  .here b {
    color: var(--owl);
    font-size: var(--size-2);
    font-weight: 750;
  }
</style>
