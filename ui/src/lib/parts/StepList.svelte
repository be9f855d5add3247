<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import type { Schemas } from '../api';
  import Working from './Working.svelte';

  interface Props {
    procedure: Schemas['ProcedureOut'];
  }
  let { procedure }: Props = $props();
  const wait = (minutes: number) =>
    minutes >= 90 ? `${(minutes / 60).toFixed(minutes % 60 ? 1 : 0)} h` : `${Math.round(minutes)} min`;
</script>

<Working
  summary={say('step-list-step-by-step-waiting', { words: procedure.words, wait_min: wait(procedure.wait_min) })}
>
  <p class="care">{procedure.caution}</p>
  <ol>
    {#each procedure.steps as step, i (i)}
      <li>
        <span
          >{step.text}{#if step.wait_min}<b>{say('step-list-wait', { wait_min: wait(step.wait_min) })}</b>{/if}</span
        >
        <small>{[step.why, step.gear].filter(Boolean).join('. ')}</small>
      </li>
    {/each}
  </ol>
</Working>

<style>
  .care {
    margin: 0 0 var(--gap-2);
    padding: var(--gap-2) var(--gap-3);
    border-left: 4px solid var(--care);
    background: var(--care-tint);
  }
  ol {
    padding-left: 1.6rem;
    list-style: decimal;
  }
  li {
    padding: var(--gap-1) 0;
  }
  li::marker {
    font-weight: 700;
  }
  b {
    margin-left: var(--gap-2);
    color: var(--owl);
  }
  small {
    display: block;
    color: var(--soft);
    font-size: var(--size-0);
  }
</style>
