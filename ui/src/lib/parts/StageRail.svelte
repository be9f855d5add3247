<script lang="ts">
  import { go } from '../router.svelte';
  import { say } from '../say';
  import { STAGES } from '../words';

  interface Props {
    base: `/jobs/${string}`;
    here: string;
    reachable: string[];
    done: string[];
    next: string;
  }
  let { base, here, reachable, done, next }: Props = $props();
</script>

<nav class="no-print" aria-label={say('stage-rail-stages')}>
  <ol>
    {#each STAGES as stage, i (stage.id)}
      {@const open = reachable.includes(stage.id)}
      <li class:done={done.includes(stage.id)} class:here={here === stage.id} class:next={next === stage.id}>
        {#if open}
          <a href="{base}/{stage.id}" aria-current={here === stage.id ? 'step' : undefined}>
            <span class="number" aria-hidden="true">{i + 1}</span><span class="name">{stage.name}</span>
            {#if done.includes(stage.id)}<span class="off-screen">{say('stage-rail-done')}</span>{/if}
          </a>
        {:else}
          <span class="closed"
            ><span class="number" aria-hidden="true">{i + 1}</span><span class="name">{stage.name}</span><span
              class="off-screen">{say('stage-rail-not-open-yet')}</span
            ></span
          >
        {/if}
      </li>
    {/each}
  </ol>
  <div class="phone">
    <select aria-label={say('stage-rail-stage')} value={here} onchange={(e) => go(`${base}/${e.currentTarget.value}`)}>
      {#each STAGES as stage, i (stage.id)}
        <option value={stage.id} disabled={!reachable.includes(stage.id)}
          >{i + 1} {stage.name}{done.includes(stage.id) ? say('stage-rail-done') : ''}</option
        >
      {/each}
    </select>
    <div class="line" aria-hidden="true">
      {#each STAGES as stage (stage.id)}<i class:done={done.includes(stage.id)} class:here={here === stage.id}
        ></i>{/each}
    </div>
  </div>
</nav>

<style>
  ol {
    display: flex;
  }
  li {
    flex: 1 1 0;
    border-bottom: 5px solid var(--rule);
  }
  li.done {
    border-color: var(--edge);
  }
  li.here {
    border-color: var(--owl);
  }
  a,
  .closed {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: var(--target);
    padding: 0 var(--gap-2);
    text-decoration: none;
    font-weight: 620;
    white-space: nowrap;
  }
  a:hover {
    background: var(--owl-tint);
  }
  .closed {
    color: var(--soft);
    font-weight: 400;
  }
  .number {
    display: inline-flex;
    align-items: center;
    justify-content: center;
    width: 1.5rem;
    height: 1.5rem;
    border: var(--line) solid currentcolor;
    border-radius: 50%;
    font-size: var(--size-0);
  }
  .done .number {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--paper);
  }
  .here .number {
    background: var(--owl);
    border-color: var(--owl);
    color: var(--on-owl);
  }
  .next:not(.here) .number {
    border-color: var(--owl);
    box-shadow: 0 0 0 2px var(--owl-tint);
  }
  .next:not(.here, .done) .number {
    color: var(--owl);
  }
  @media (max-width: 1000px) {
    a,
    .closed {
      flex-direction: column;
      justify-content: center;
      gap: 0;
      min-width: var(--target);
      min-height: 3.5rem;
      padding: 0 2px;
      font-size: var(--size-1);
    }
  }
  .phone {
    display: none;
  }
  /* On a phone nine places are too small for a finger: one that opens, over the line of the stages. */
  @media (max-width: 640px) {
    ol {
      display: none;
    }
    .phone {
      display: block;
    }
    select {
      width: 100%;
      min-height: var(--target);
      padding: 0 var(--gap-2);
      border: var(--line) solid var(--edge);
      border-radius: var(--round);
      background: var(--sheet);
      font-weight: 620;
    }
    .line {
      display: flex;
      gap: 2px;
      margin-top: 3px;
    }
    i {
      flex: 1;
      height: 5px;
      background: var(--rule);
    }
    i.done {
      background: var(--edge);
    }
    i.here {
      background: var(--owl);
    }
  }
</style>
