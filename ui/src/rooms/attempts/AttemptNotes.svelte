<script lang="ts">
  import { say } from '$words/page-attempts.ftl';
  // Scores of a surface and a print, and what was seen, of one attempt.
  import { untrack } from 'svelte';
  import type { Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';

  interface Props {
    attempt: Schemas['AttemptOut'];
    onsave: (fields: { surface_score: number | null; print_score: number | null; words: string }) => Promise<void>;
  }
  let { attempt, onsave }: Props = $props();
  let words = $state(untrack(() => attempt.words));
  let busy = $state(false);
  const NONE = 'none';
  const SCORES = [NONE, '1', '2', '3', '4', '5'].map((value) => ({
    value,
    label: value === NONE ? say('attempts-no-score') : value,
  }));
  const kept = $derived({ surface_score: attempt.surface_score, print_score: attempt.print_score });
  const number = (value: string) => (value === NONE ? null : Number(value));

  async function save(changed: Partial<typeof kept>) {
    busy = true;
    await onsave({ ...kept, ...changed, words });
    busy = false;
  }
</script>

<div class="notes lay-row">
  <Choice
    legend={say('attempts-score-surface')}
    name="surface"
    unmade={NONE}
    options={SCORES}
    bind:value={() => String(attempt.surface_score ?? NONE), (next) => void save({ surface_score: number(next) })}
  />
  <Choice
    legend={say('attempts-score-print')}
    name="print"
    unmade={NONE}
    options={SCORES}
    bind:value={() => String(attempt.print_score ?? NONE), (next) => void save({ print_score: number(next) })}
  />
  <div class="words">
    <TextField label={say('attempts-words')} name="words" wide bind:value={words} />
    {#if words !== attempt.words}<Button {busy} onclick={() => void save({})}>{say('attempts-save')}</Button>{/if}
  </div>
</div>

<style>
  .notes {
    gap: var(--gap-4);
    align-items: end;
  }
  .words {
    display: grid;
    grid-template-columns: minmax(0, 1fr) max-content;
    gap: var(--gap-3);
    align-items: end;
    flex: 1 1 20rem;
  }
</style>
