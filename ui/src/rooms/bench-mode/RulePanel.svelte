<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // A rule is in the way: what it is, what comes first, and a way to tell that it has happened already.
  import type { Guard } from '../../lib/bench/types';
  import Button from '../../lib/parts/Button.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    guard: Guard;
    first: number | null;
    onfirst: () => void;
    onhappened: () => void;
  }
  let { guard, first, onfirst, onhappened }: Props = $props();
</script>

<div class="rule lay-head" role="alertdialog" aria-label={say('rule-panel-rule-in-way')}>
  <!-- Whatever was read here, the foot goes on to the step. -->
  <div data-pedal>
    <Titled why="bench"><h2>{guard.reason}</h2></Titled>
    <p>{guard.remedy}</p>
  </div>
  <div class="keys lay-row">
    <Button kind="main" key="Enter" onclick={onfirst}
      >{first ? say('rule-panel-first-step', { first }) : say('rule-panel-back-to-step')}</Button
    >
    {#if !guard.hard}<Button key="W" onclick={onhappened}>{say('bench-mode-has-happened-record')}</Button>{/if}
  </div>
</div>

<style>
  .rule {
    gap: var(--gap-4);
    padding: var(--gap-4) var(--gap-5);
    border-top: 8px solid var(--halt);
    background: var(--halt-tint);
  }
  h2 {
    color: var(--halt);
    font-size: var(--size-4);
  }
  p {
    font-size: var(--size-3);
  }
  .keys :global(.button) {
    min-height: 4.5rem;
    font-size: var(--size-2);
  }
</style>
