<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // How far the latest interface has run in: its runs over heat cycles, the end with its U, and what is still needed.
  import { linear } from '../../lib/charts/linear';
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Choice from '../../lib/parts/Choice.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
  }
  let { jobId, found }: Props = $props();
  const HEIGHT = 206;
  let width = $state(600);
  let since = $state<'heat_cycles' | 'hours' | 'days'>('heat_cycles');
  const cycled = $derived(found.states.some((s) => s.heat_cycles !== null || s.hours !== null));
  const offered = $derived(
    (['heat_cycles', 'hours', 'days'] as const).filter(
      (s) => s === 'days' || found.states.some((state) => state[s] !== null),
    ),
  );

  const counted = $derived(offered.includes(since) ? since : 'days');

  const asked = resource(
    () => (cycled && found.runs.length ? { since: counted } : null),
    (query) => take(client.GET('/api/jobs/{job_id}/burn-in', { params: { path: { job_id: jobId }, query } })),
  );
  const told = $derived(asked.value);
  const why = $derived(asked.trouble ? asked.trouble.words : '');

  const reach = $derived(Math.max(...(told?.points ?? []).map((p) => p.x), 1) + (told?.more_needed ?? 0));
  const x = $derived(linear([0, reach * 1.05], [48, width - 16]));
  const bounds = $derived(told?.points.flatMap((p) => [p.value - (p.u95 ?? 0), p.value + (p.u95 ?? 0)]) ?? [0, 1]);
  const y = $derived(linear([Math.min(...bounds), Math.max(...bounds)], [HEIGHT - 46, 14], 4));
  const course = $derived.by(() => {
    const { final, rest, tau, points } = told ?? {};
    const last = points?.at(-1)?.x;
    if (final == null || rest == null || tau == null || last === undefined) return '';
    const at = (v: number) => final + rest * Math.exp((last - v) / tau);
    return Array.from({ length: 61 }, (_, i) => (i / 60) * reach)
      .map((v, i) => `${i ? 'L' : 'M'}${x(v)} ${y(at(v))}`)
      .join('');
  });
  const verdict = $derived(
    told?.settled === null || told === null
      ? say('run-list-burn-in-unknown')
      : told.settled
        ? say('run-list-burn-in-settled')
        : told.more_needed === null
          ? say('run-list-burn-in-going-on')
          : say('run-list-burn-in-more', { n: Math.max(1, Math.ceil(told.more_needed)), since: counted }),
  );
</script>

{#if cycled}
  <section>
    <Titled why="runs"><h2>{say('run-list-burn-in')}</h2></Titled>
    {#if offered.length > 1}
      <Choice
        bare
        legend={say('run-list-burn-in-over')}
        name="since"
        bind:value={() => counted, (next) => (since = next)}
        options={offered.map((s) => ({ value: s, label: say(`run-list-over-${s}`) }))}
      />
    {/if}
    {#if why}<p class="quiet">{why}</p>{/if}
    {#if told}
      <p class="verdict">
        {verdict}
        {#if told.final !== null && told.final_u95 !== null}
          {say('run-list-burn-in-ends', { final: fixed(told.final, 3), u95: fixed(told.final_u95, 3) })}
        {/if}
      </p>
      {#if told.without}<p class="quiet">{say('run-list-burn-in-without', { n: told.without })}</p>{/if}
      {#if told.reason}<p class="quiet">{told.reason}</p>{/if}
      <div bind:clientWidth={width}>
        <svg
          viewBox="0 0 {width} {HEIGHT}"
          height={HEIGHT}
          role="img"
          aria-label={say('run-list-burn-in-chart', {
            over: say(`run-list-over-${counted}`).toLowerCase(),
            points: told.points.map((p) => `${fixed(p.x, 0)}: ${fixed(p.value, 3)} K/W`).join(', '),
          })}
        >
          {#each y.ticks(4) as tick (tick)}
            <path class="grid" d="M48 {y(tick)}H{width - 16}" />
            <text class="tick end" x="42" y={y(tick) + 4}>{fixed(tick, 2)}</text>
          {/each}
          {#each x.ticks(6) as tick (tick)}<text class="tick middle" x={x(tick)} y={HEIGHT - 26}>{tick}</text>{/each}
          <text class="tick end" x={width - 16} y={HEIGHT - 4}>{say(`run-list-over-${counted}`)}</text>
          {#if told.final !== null}<path class="final" d="M48 {y(told.final)}H{width - 16}" />{/if}
          <path class="course" d={course} />
          {#each told.points as p (p.run)}
            <path class="bar" d="M{x(p.x)} {y(p.value - (p.u95 ?? 0))}V{y(p.value + (p.u95 ?? 0))}" />
            <circle cx={x(p.x)} cy={y(p.value)} r="5" />
          {/each}
        </svg>
      </div>
    {/if}
  </section>
{/if}

<style>
  h2 {
    margin: 0 0 var(--gap-2);
    font-size: var(--size-3);
  }
  .verdict {
    margin: 0 0 var(--gap-2);
    font-family: var(--font-head);
    font-size: var(--size-3);
  }
  svg {
    display: block;
    width: 100%;
  }
  .grid {
    stroke: var(--rule);
  }
  .tick {
    fill: var(--soft);
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .end {
    text-anchor: end;
  }
  .middle {
    text-anchor: middle;
  }
  .final {
    stroke: var(--after);
    stroke-dasharray: 2 5;
    stroke-width: 2;
  }
  .course {
    fill: none;
    stroke: var(--owl);
    stroke-width: 2;
  }
  .bar {
    stroke: var(--after);
    stroke-width: 2;
  }
  circle {
    fill: var(--after);
  }
</style>
