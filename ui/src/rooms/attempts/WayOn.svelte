<script lang="ts">
  import { say } from '$words/page-attempts.ftl';
  // What comes after looking: the next attempt, back to the one before, or leaving it as it is with a reason.
  import type { Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';

  interface Props {
    jobId: string;
    current: Schemas['AttemptOut'];
    /** The attempt on the bench is closed. */
    closed: boolean;
    /** It failed, so that it is not handed over as it is. */
    stopped: boolean;
    busy: boolean;
    begin: () => Promise<void>;
    back: () => Promise<void>;
    leave: (words: string) => Promise<void>;
  }
  let { jobId, current, closed, stopped, busy, begin, back, leave }: Props = $props();
  let reason = $state('');
</script>

<div class="way lay-stack">
  {#if closed}
    <p class="quiet small">{say('attempts-begin-note', { number: current.number })}</p>
    <Button kind={stopped ? 'main' : 'plain'} {busy} onclick={() => void begin()}
      >{say('attempts-begin', { number: current.number + 1 })}</Button
    >
  {:else}
    <p>{say('attempts-not-closed', { number: current.number })}</p>
    <div class="lay-row">
      <Button kind="main" href="/jobs/{jobId}">{say('attempts-go-on')}</Button>
      {#if current.number > 1}
        <Button {busy} onclick={() => void back()}>{say('attempts-take-back', { number: current.number })}</Button>
      {/if}
    </div>
  {/if}
</div>
{#if stopped && closed}
  <div class="way lay-stack">
    {#if current.left_words}
      <p>{say('attempts-left', { words: current.left_words })}</p>
      <div class="lay-row">
        <Button href="/jobs/{jobId}/handover">{say('attempts-hand-over')}</Button>
        <Button {busy} onclick={() => void leave('')}>{say('attempts-take-reason-off')}</Button>
      </div>
    {:else}
      <TextField
        label={say('attempts-left-words')}
        name="left_words"
        wide
        hint={say('attempts-left-hint')}
        bind:value={reason}
      />
      <Button {busy} disabled={!reason.trim()} onclick={() => void leave(reason.trim())}>{say('attempts-leave')}</Button
      >
    {/if}
  </div>
{/if}

<style>
  .way {
    justify-items: start;
    margin-top: var(--gap-5);
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  .small {
    font-size: var(--size-0);
  }
  p {
    margin: 0;
  }
</style>
