<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // The steps of one stage beside its page: done, skipped, moved, added; bench mode is one key away.
  import type { BenchJob } from './bench.svelte';
  import { benchWords } from './bench.svelte';
  import { brokenGuard } from './project';
  import type { BenchStage, Guard, Step } from './types';
  import Button from '../parts/Button.svelte';
  import TextField from '../parts/TextField.svelte';
  import { go } from '../router.svelte';
  import { toast } from '../toasts.svelte';
  import LineState from './LineState.svelte';
  import ReasonPanel from './ReasonPanel.svelte';
  import StepRow from './StepRow.svelte';

  interface Props {
    at: BenchJob;
    stage: BenchStage;
    onpower?: () => void;
  }
  let { at, stage, onpower }: Props = $props();
  const bench = $derived(at.bench);
  const all = $derived(bench?.steps ?? []);
  const mine = $derived(all.map((step, i) => ({ step, number: i + 1 })).filter((s) => s.step.stage === stage));
  const facts = $derived(new Set(bench?.facts ?? []));
  let asked = $state.raw<{ kind: 'skip' | 'breach'; step: Step; guard?: Guard } | null>(null);
  let own = $state<string | null>(null);
  let more = $state<string | null>(null);
  const benchHref = $derived(`/jobs/${at.jobId}/bench` as const);
  const undoWords = $derived(
    at.undoWords ? say('stage-steps-take-back', { undo_words: at.undoWords }) : say('stage-steps-nothing-to-take-back'),
  );
  const redoWords = $derived(at.redoWords ? say('stage-steps-again', { redo_words: at.redoWords }) : '');

  function finish(step: Step) {
    if (step.shows === 'power') {
      if (onpower) onpower();
      else go(benchHref);
      return;
    }
    const guard = brokenGuard(step.guards, facts);
    if (guard) asked = { kind: 'breach', step, guard };
    else at.do('step_done', { step: step.id });
  }

  async function renew() {
    const trouble = await at.renew();
    if (trouble) toast(trouble.words, { tone: 'wrong' });
  }

  function answer(words: string) {
    if (!asked) return;
    if (asked.kind === 'skip') at.do('step_skipped', { step: asked.step.id, reason: words });
    else at.do('step_done', { step: asked.step.id, breach: words });
    asked = null;
  }

  function move(step: Step, by: -1 | 1) {
    const i = all.findIndex((s) => s.id === step.id);
    const after = by < 0 ? all[i - 2]?.id : all[i + 1]?.id;
    at.do('step_moved', { step: step.id, ...(after ? { after } : {}) });
  }

  function add() {
    const text = own?.trim();
    if (!text) return;
    const step = { id: `own-${crypto.randomUUID().slice(0, 8)}`, stage, text };
    const after = mine.at(-1)?.step.id ?? '';
    at.do('step_added', { step, ...(after ? { after } : {}) });
    own = null;
  }
</script>

<section aria-label={say('stage-steps-steps-this-stage')}>
  <div class="head lay-head">
    <h3>{say('stage-steps-steps')}</h3>
    <LineState {at} />
  </div>
  {#if bench?.plan_changed}
    <div class="changed lay-head" role="alert">
      <p>
        <strong>{say('stage-steps-plan-has-changed-since')}</strong>
        {say('stage-steps-what-done-stays-done', { words: bench.chosen?.words })}
      </p>
      <Button onclick={() => void renew()}>{say('stage-steps-make-list-anew')}</Button>
    </div>
  {/if}
  <ol start={mine[0]?.number ?? 1}>
    {#each mine as { step, number } (step.id)}
      <StepRow
        {at}
        {step}
        {number}
        open={more === step.id}
        onmore={() => (more = more === step.id ? null : step.id)}
        onfinish={() => finish(step)}
        onskip={() => (asked = { kind: 'skip', step })}
        onmove={(by) => move(step, by)}
      />
      {#if asked?.step.id === step.id}
        <li class="ask">
          <ReasonPanel
            tone={asked.kind === 'skip' ? 'note' : 'halt'}
            title={asked.kind === 'skip' ? say('stage-steps-why-this-step-skipped') : (asked.guard?.reason ?? '')}
            text={asked.kind === 'skip'
              ? ''
              : say('stage-steps-if-has-happened-already', { remedy: asked.guard?.remedy ?? '' })}
            ready={asked.kind === 'skip'
              ? [
                  say('stage-steps-this-model-has-no'),
                  say('stage-steps-done-already-before-list'),
                  say('stage-steps-not-needed-today'),
                ]
              : [say('stage-steps-i-saw-too-late'), say('stage-steps-slipped')]}
            verb={asked.kind === 'skip' ? say('stage-steps-skip') : say('stage-steps-has-happened-record')}
            onsay={answer}
            oncancel={() => (asked = null)}
          />
        </li>
      {/if}
    {/each}
  </ol>
  <div class="foot">
    <Button disabled={!at.canUndo} onclick={() => at.undo()}>{undoWords}</Button>
    {#if redoWords}<Button onclick={() => at.redo()}>{redoWords}</Button>{/if}
    {#if own === null}<Button onclick={() => (own = '')}>{say('stage-steps-add-step')}</Button>{/if}
  </div>
  {#if own !== null}
    <form
      onsubmit={(e) => {
        e.preventDefault();
        add();
      }}
    >
      <TextField
        label={say('stage-steps-step-your-own-at')}
        name="own-step"
        bind:value={own}
        hint={say('stage-steps-kept-for-model-when')}
      />
      <Button type="submit" kind="main">{say('stage-steps-add')}</Button>
      <Button onclick={() => (own = null)}>{say('stage-steps-no')}</Button>
    </form>
  {/if}
  {#if benchWords.table === null}<p class="quiet" role="status">{say('stage-steps-loading')}</p>{/if}
</section>

<style>
  section {
    margin-top: var(--gap-5);
  }
  .head {
    gap: var(--gap-2) var(--gap-4);
  }
  ol {
    margin: var(--gap-2) 0 0;
    border-top: 2px solid var(--ink);
  }
  .ask {
    border-bottom: 1px solid var(--rule);
  }
  .foot,
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: var(--gap-3);
    margin-top: var(--gap-4);
  }
  .changed {
    margin: var(--gap-2) 0;
    padding: var(--gap-2) var(--gap-3);
    border-left: 5px solid var(--care);
    background: var(--care-tint);
  }
</style>
