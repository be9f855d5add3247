<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // The end of the list: what is still open, each with the one thing that settles it, and the key that closes.
  import { line, type BenchJob } from './bench.svelte';
  import type { Bench } from './types';
  import { offer } from '../keys.svelte';
  import { plural } from '../format';
  import Button from '../parts/Button.svelte';
  import ReasonPanel from './ReasonPanel.svelte';

  interface Props {
    at: BenchJob;
    bench: Bench;
    onstep: (step: string) => void;
    onclosed: () => void;
    /** In bench mode the keyboard is its own; on a page only Enter is taken. */
    alone?: boolean;
  }
  let { at, bench, onstep, onclosed, alone = false }: Props = $props();
  type Blocker = Bench['blockers'][number];
  let asked = $state.raw<Blocker | null>(null);
  const screws = $derived(bench.places.filter((p) => p.kind === 'screw'));
  const back = $derived(screws.filter((p) => !p.is_out).length);

  function settle(one: Blocker) {
    if (bench.steps.some((s) => s.id === one.of)) onstep(one.of);
    else asked = one;
  }

  function answer(words: string) {
    const one = asked;
    asked = null;
    if (!one) return;
    if (bench.places.some((p) => p.id === one.of)) at.do('explained', { place: one.of, words });
    else if (bench.waits.some((w) => w.id === one.of && !w.ended)) at.do('wait_ended', { wait: one.of, reason: words });
    else if (one.code === 'leftover') at.do('leftover', { count: bench.leftover, words });
    else at.do('checked', { of: one.of, words });
  }

  const opened = $derived(bench.steps.some((s) => s.shows === 'power'));
  const power = $derived(bench.power.at(-1));
  // What was seen, measured, only planned, or not looked at: each as what it is.
  const said = $derived.by(() => {
    const results = Object.values(power?.results ?? {});
    const count = (how: string) => results.filter((r) => r === how).length;
    const asked = bench.steps.filter((s) => s.asks && s.outcome?.how === 'done');
    const measured = asked.filter((s) => s.outcome?.value !== null);
    return [
      ...(power
        ? [say('count-and-close-first-power-on-checks', { fine: count('fine'), unchecked: count('unchecked') })]
        : []),
      ...(asked.length
        ? [
            say('count-and-close-doses-weighed-as-planned', {
              count: measured.length,
              count_2: asked.length - measured.length,
            }),
          ]
        : []),
      ...(bench.found.length
        ? [say('count-and-close-seen-looked-at-and', { found: plural(bench.found.length, 'part') })]
        : []),
    ];
  });

  // While steps are still to do, what they will settle by themselves is only counted.
  const stepsOpen = $derived(bench.blockers.filter((b) => bench.steps.some((s) => s.id === b.of)));
  const outOnes = $derived(bench.blockers.filter((b) => bench.places.some((p) => p.id === b.of)));
  const shown = $derived(
    stepsOpen.length > 1
      ? bench.blockers.filter(
          (b) => bench.breaches.some((x) => x.id === b.of) || bench.mishaps.some((x) => x.id === b.of),
        )
      : bench.blockers,
  );
  const canAnswer = (one: Blocker) =>
    bench.breaches.some((b) => b.id === one.of) ||
    bench.mishaps.some((m) => m.id === one.of) ||
    bench.waits.some((w) => w.id === one.of) ||
    bench.steps.some((s) => s.id === one.of) ||
    bench.places.some((p) => p.id === one.of && p.kind === 'screw') ||
    one.code === 'leftover';

  export function close() {
    if (asked) return;
    if (bench.closed) return onclosed();
    if (bench.blockers.length) return;
    at.do('closed');
    // Without a connection the next page cannot come; the list says that it is closed.
    if (alone && line.stands) onclosed();
  }

  $effect(() =>
    offer([
      ...(alone ? shown : []).slice(0, 9).map((one, i) => ({
        key: String(i + 1),
        words: one.text,
        alone: true,
        run: () => canAnswer(one) && settle(one),
      })),
    ]),
  );
</script>

<section>
  <p class="over">{say('count-and-close-count-and-close')}</p>
  {#if bench.closed}
    <svelte:element this={alone ? 'h1' : 'h3'} class="head">{say('count-and-close-bench-work-closed')}</svelte:element>
    <p class="large">{say('count-and-close-after-reading-comes-next')}</p>
    <div class="row">
      <Button kind="main" key="Enter" onclick={onclosed}>{say('count-and-close-on-to-after')}</Button>
    </div>
  {:else if bench.blockers.length}
    {#if stepsOpen.length > 1}
      <svelte:element this={alone ? 'h1' : 'h3'} class="head"
        >{say('count-and-close-steps-still-to-do', { count: stepsOpen.length })}</svelte:element
      >
      <p class="large">
        {say('count-and-close-and-out-no-next', {
          count: !!outOnes.length,
          screw: plural(
            outOnes.filter((b) => bench.places.some((p) => p.id === b.of && p.kind === 'screw')).length,
            'screw',
          ),
          plug: plural(
            outOnes.filter((b) => bench.places.some((p) => p.id === b.of && p.kind === 'plug')).length,
            'plug',
          ),
          of: bench.steps.findIndex((s) => s.id === stepsOpen[0]?.of) + 1,
          text: bench.steps.find((s) => s.id === stepsOpen[0]?.of)?.text,
        })}
      </p>
      <div class="row">
        <Button kind="main" onclick={() => onstep(stepsOpen[0]?.of ?? '')}>{say('count-and-close-go-on-with')}</Button>
      </div>
    {:else}
      <svelte:element this={alone ? 'h1' : 'h3'} class="head"
        >{bench.blockers.length === 1
          ? say('count-and-close-one-thing-open')
          : say('count-and-close-things-open', { count: bench.blockers.length })}</svelte:element
      >
    {/if}
    <ul class:none={!shown.length}>
      {#each shown as one, i (`${one.text}-${one.of}`)}
        <li>
          <kbd>{i + 1}</kbd>
          <span><strong>{one.text}</strong> <span class="quiet">{one.remedy}</span></span>
          {#if canAnswer(one)}
            <Button onclick={() => settle(one)}
              >{bench.steps.some((s) => s.id === one.of)
                ? say('count-and-close-go-there')
                : bench.waits.some((w) => w.id === one.of)
                  ? say('count-and-close-end-early')
                  : bench.places.some((p) => p.id === one.of)
                    ? say('count-and-close-explain')
                    : say('count-and-close-say-what-was-checked')}</Button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {:else}
    <svelte:element this={alone ? 'h1' : 'h3'} class="head"
      >{screws.length
        ? say('count-and-close-screws-back-nothing-left', { back, count: screws.length })
        : opened
          ? say('count-and-close-nothing-open-screws-not')
          : say('count-and-close-nothing-open')}</svelte:element
    >
    {#if opened && !screws.length}
      <p class="large">{say('count-and-close-nobody-has-counted-them')}</p>
    {/if}
    {#if said.length}
      <ul class="said">
        {#each said as one, at (at)}<li>{one}</li>{/each}
      </ul>
    {/if}
    <div class="row">
      <Button kind="main" key="Enter" onclick={close}>{say('count-and-close-close-bench-work')}</Button>
    </div>
  {/if}
  {#if asked}
    {@const screw = bench.places.some((p) => p.id === asked?.of)}
    <ReasonPanel
      tone="care"
      title={asked.text}
      text={asked.remedy}
      ready={screw
        ? [say('count-and-close-thread-torn-told-owner'), say('count-and-close-was-missing-when-device')]
        : [say('count-and-close-looked-with-loupe-all'), say('count-and-close-looked-at-nothing-found')]}
      verb={say('count-and-close-note')}
      onsay={answer}
      oncancel={() => (asked = null)}
    />
  {/if}
</section>

<style>
  .over {
    color: var(--owl);
    font-size: var(--size-3);
    font-weight: 700;
  }
  .head {
    margin: var(--gap-3) 0;
    font-size: clamp(2rem, 3.6vw, 3.2rem);
  }
  .large {
    font-size: var(--size-3);
  }
  .row {
    margin-top: var(--gap-5);
  }
  .row :global(.button) {
    min-height: 4.5rem;
    font-size: var(--size-3);
  }
  ul {
    border-top: 2px solid var(--ink);
  }
  ul.none {
    display: none;
  }
  li {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
    min-height: 4rem;
    border-bottom: 1px solid var(--rule);
    font-size: var(--size-2);
  }
  li > span {
    flex: 1;
  }
  .said {
    margin: var(--gap-3) 0;
    padding-left: 1.2em;
    font-size: var(--size-3);
  }
</style>
