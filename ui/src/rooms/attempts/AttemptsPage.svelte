<script lang="ts">
  import { say } from '$words/page-attempts.ftl';
  // After a service that failed: why, what to check first, and the next attempt beside the ones before it.
  import { client, take, type Schemas } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Titled from '../../lib/parts/Titled.svelte';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import JobHead from '../../lib/job/JobHead.svelte';
  import AttemptNotes from './AttemptNotes.svelte';
  import Cause from './Cause.svelte';
  import PromiseScale from './PromiseScale.svelte';
  import SideBySide from '../../lib/verdict/SideBySide.svelte';
  import WayOn from './WayOn.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  type Checks = NonNullable<Schemas['AttemptIn']['checks']>;
  const HARDLY = 0.03;

  const params = $derived({ path: { job_id: id } });
  const page = resource(
    () => params,
    async (params) => {
      const [job, all] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/attempts', { params })),
      ]);
      return { job, all };
    },
  );
  const job = $derived(page.value?.job ?? null);
  const all = $derived(page.value?.all ?? null);
  // While the next attempt is on the bench, the one that failed is what is looked into.
  const failed = $derived(all?.attempts.findLast((a) => a.causes.length > 0) ?? null);
  const current = $derived(all?.attempts.at(-1) ?? null);
  const likely = $derived(failed?.causes.filter((c, i) => i === 0 || c.share >= HARDLY || c.answer !== 'open') ?? []);
  const others = $derived(failed?.causes.filter((c) => !likely.includes(c)) ?? []);
  const stopped = $derived(current?.failure === 'worse' || current?.failure === 'no_better');
  const FAILED: Record<string, string> = {
    worse: say('attempts-worse'),
    no_better: say('attempts-no-better'),
    less: say('attempts-less'),
  };

  function heading(attempt: Schemas['AttemptOut']): string {
    if (attempt.failure === 'none') return say('attempts-title-all');
    return attempt.current ? say('attempts-title') : say('attempts-title-earlier', { number: attempt.number });
  }

  const save = action(async (attempt: Schemas['AttemptOut'], changed: Partial<Schemas['AttemptIn']>) => {
    const answers = attempt.causes.filter((c) => c.answer !== 'open').map((c) => [c.cause, c.answer]);
    const body = {
      version: attempt.version,
      checks: Object.fromEntries(answers) as Checks,
      surface_score: attempt.surface_score,
      print_score: attempt.print_score,
      words: attempt.words,
      left_words: attempt.left_words,
      ...changed,
    };
    const params = { path: { job_id: id, number: attempt.number } };
    const all = await take(client.PUT('/api/jobs/{job_id}/attempts/{number}', { params, body }));
    if (page.value) page.value = { ...page.value, all };
    return true;
  });
  /** What is there now is shown beside the refusal. */
  async function saved(...given: Parameters<typeof save.run>): Promise<boolean> {
    const done = await save.run(...given);
    if (save.trouble?.body.reason === 'stale') {
      await page.load();
    }
    return done === true;
  }

  async function answer(attempt: Schemas['AttemptOut'], cause: string, given: 'open' | 'found' | 'ruled_out') {
    const now = attempt.causes.map((c) => [c.cause, c.cause === cause ? given : c.answer] as const);
    await saved(attempt, { checks: Object.fromEntries(now.filter(([, showed]) => showed !== 'open')) as Checks });
  }

  const leave = async (words: string) => {
    if (current && (await saved(current, { left_words: words }))) await page.load();
  };
  const begin = action(async () => {
    const found = await take(client.POST('/api/jobs/{job_id}/attempts', { params }));
    toast(say('attempts-begun', { number: found.attempts.length }), { undo: () => void back.run() });
    go(`/jobs/${id}/open`);
  });
  const back = action(async () => {
    const found = await take(client.DELETE('/api/jobs/{job_id}/attempts', { params }));
    toast(say('attempts-taken-back', { number: found.attempts.length + 1 }));
    await page.load();
    go(`/jobs/${id}/attempts`);
  });
</script>

{#if job}<JobHead {job} />{/if}
<div class="gap">
  <Trouble of={[page, save, begin, back]} />
  {#if save.trouble?.body.reason === 'stale'}<p>{say('attempts-changed-elsewhere')}</p>{/if}
</div>
{#if job && all && current}
  {@const shut = !!job.handed_over_at}
  <div class="two" class:alone={!failed}>
    {#if failed}
      <section>
        <Titled why="runs"><h2>{heading(failed)}</h2></Titled>
        {#if FAILED[failed.failure]}<p class="lead">{FAILED[failed.failure]}</p>{/if}
        <PromiseScale attempt={failed} />
        <p class="quiet small">{say('attempts-usual', { counted: all.counted })}</p>
        {#if current.number === failed.number && likely.some((c) => c.opens && c.answer === 'open')}
          <p class="caution">{say('attempts-caution')}</p>
        {/if}
        <ol>
          {#each likely as cause, i (cause.cause)}
            <Cause
              {cause}
              first={i === 0}
              closed={shut}
              onanswer={(given) => void answer(failed, cause.cause, given)}
            />
          {/each}
        </ol>
        {#if others.length}
          <details>
            <summary>{say('attempts-others', { count: others.length })}</summary>
            <ol>
              {#each others as cause (cause.cause)}
                <Cause
                  {cause}
                  first={false}
                  closed={shut}
                  onanswer={(given) => void answer(failed, cause.cause, given)}
                />
              {/each}
            </ol>
          </details>
        {/if}
      </section>
    {/if}
    <aside>
      <h2>{say('attempts-side-by-side')}</h2>
      {#if !failed}<p class="quiet">{say('attempts-none-failed')}</p>{/if}
      <SideBySide rows={all.rows} current={current.number} />
      {#if !shut}
        {@const noted = failed ?? current}
        <h3>{say('attempts-notes', { number: noted.number })}</h3>
        {#key noted.number}
          <AttemptNotes attempt={noted} onsave={async (fields) => void (await saved(noted, fields))} />
        {/key}
        <WayOn
          jobId={id}
          {current}
          closed={all.closed}
          {stopped}
          busy={save.busy || begin.busy}
          begin={begin.run}
          back={back.run}
          {leave}
        />
      {/if}
    </aside>
  </div>
{:else if !page.trouble}
  <p class="quiet" role="status">{say('attempts-opening')}</p>
{/if}

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
    margin-top: var(--gap-4);
  }
  .alone {
    grid-template-columns: minmax(0, 1fr);
  }
  h2 {
    margin: 0 0 var(--gap-2);
    font-size: var(--size-4);
  }
  h3 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .lead {
    margin: 0 0 var(--gap-3);
    font-size: var(--size-2);
  }
  .small {
    font-size: var(--size-0);
  }
  .caution {
    margin: var(--gap-3) 0;
    padding-left: var(--gap-3);
    border-left: 4px solid var(--care);
  }
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  summary {
    padding: var(--gap-3) 0;
    cursor: pointer;
  }
  .gap:not(:empty) {
    margin: var(--gap-3) 0;
  }
  @media (max-width: 64rem) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
