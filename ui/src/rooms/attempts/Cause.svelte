<script lang="ts">
  import { say } from '$words/page-attempts.ftl';
  // One cause: how likely, what speaks for and against it, and the one check to make first.
  import type { Schemas } from '../../lib/api';
  import Choice from '../../lib/parts/Choice.svelte';

  type Answer = 'open' | 'found' | 'ruled_out';
  interface Props {
    cause: Schemas['AttemptCauseOut'];
    /** The likeliest is told in full. */
    first: boolean;
    closed: boolean;
    onanswer: (answer: Answer) => void;
  }
  let { cause, first, closed, onanswer }: Props = $props();
  const tenths = $derived(Math.round(10 * cause.share));
  const TEN = Array.from({ length: 10 }, (_, i) => i);
</script>

<li class:first class:out={cause.answer === 'ruled_out'}>
  <div class="name lay-row">
    <h3>{cause.words}</h3>
    <p class="share">
      <svg viewBox="0 0 100 12" aria-hidden="true">
        {#each TEN as i (i)}
          <rect x={i * 10} y="1" width="8" height="10" rx="2" class:full={i < tenths} />
        {/each}
      </svg>
      <span>{say('attempts-share', { tenths })}</span>
    </p>
  </div>
  <p class="check">
    <strong>{first ? say('attempts-first-check') : say('attempts-check')}</strong>
    <span>{cause.check}.</span>
    <small>{cause.opens ? say('attempts-opens') : say('attempts-closed')}</small>
  </p>
  {#if cause.speaks.length || cause.against.length}
    <ul class="lay-stack">
      {#each cause.speaks as words, at (at)}
        <li><b aria-label={say('attempts-speaks')}>+</b>{words}</li>
      {/each}
      {#each cause.against as words, at (at)}
        <li class="against"><b aria-label={say('attempts-against')}>−</b>{words}</li>
      {/each}
    </ul>
  {/if}
  {#if cause.answer === 'found'}
    <p class="check remedy"><strong>{say('attempts-remedy')}</strong><span>{cause.remedy}.</span></p>
  {/if}
  {#if !closed}
    <div class="answer">
      <Choice
        legend={say('attempts-answer', { cause: cause.words })}
        name="answer-{cause.cause}"
        bare
        unmade="open"
        options={[
          { value: 'open', label: say('attempts-open') },
          { value: 'found', label: say('attempts-found') },
          { value: 'ruled_out', label: say('attempts-ruled-out') },
        ]}
        bind:value={() => cause.answer as Answer, (next) => onanswer(next)}
      />
    </div>
  {/if}
</li>

<style>
  li {
    display: grid;
    gap: var(--gap-2);
    padding: var(--gap-4) 0;
    border-top: var(--line) solid var(--rule);
  }
  .first {
    border-top-width: 3px;
    border-top-color: var(--ink);
  }
  .out > :not(.answer) {
    opacity: 0.62;
  }
  .name {
    align-items: baseline;
    justify-content: space-between;
    gap: var(--gap-1) var(--gap-4);
  }
  h3 {
    margin: 0;
    font-size: var(--size-2);
  }
  .first h3 {
    font-family: var(--font-head);
    font-size: var(--size-3);
  }
  .share {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    margin: 0;
    font-variant-numeric: tabular-nums;
  }
  svg {
    width: 6.5rem;
    height: 0.8rem;
  }
  rect {
    fill: none;
    stroke: var(--soft);
  }
  rect.full {
    fill: var(--before);
    stroke: var(--before);
  }
  .check {
    display: grid;
    grid-template-columns: 6.5rem minmax(0, 1fr) max-content;
    gap: var(--gap-1) var(--gap-3);
    align-items: baseline;
    margin: 0;
  }
  small {
    color: var(--soft);
  }
  ul {
    gap: var(--gap-1);
    margin: 0;
    padding: 0;
    list-style: none;
  }
  ul li {
    display: flex;
    gap: var(--gap-2);
    padding: 0;
    border: 0;
  }
  .against {
    color: var(--soft);
  }
  b {
    width: 1ch;
  }
  @media (max-width: 40rem) {
    .check {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
