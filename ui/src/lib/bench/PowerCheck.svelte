<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // The first power-on, check by check. Each is "not looked at" until somebody has; boot, fans and temperatures have to
  // be, the rest goes into the record as not checked.
  import type { BenchJob } from './bench.svelte';
  import { benchWords } from './bench.svelte';
  import { parseNumber } from '../format';
  import Button from '../parts/Button.svelte';
  import Choice from '../parts/Choice.svelte';
  import TextField from '../parts/TextField.svelte';
  import { toast } from '../toasts.svelte';
  import type { Hands } from '../../rooms/bench-mode/hands.svelte';
  import { hold } from './hold';

  interface Props {
    at: BenchJob;
    /** In bench mode: the step is told with the results, and its button stands in the foot. Else they are noted here. */
    hands?: Hands;
  }
  let { at, hands }: Props = $props();
  const STATES = [
    { value: 'unchecked', label: say('power-check-not-looked-at') },
    { value: 'fine', label: say('power-check-fine') },
    { value: 'fails', label: say('power-check-fails') },
    { value: 'none', label: say('power-check-has-none') },
  ];
  const must = $derived(benchWords.table?.looked_at ?? []);
  // What this device has, what tells whether the die lives first.
  const checks = $derived(
    (benchWords.table?.checks ?? [])
      .filter((check) => at.bench?.checks.includes(check.name))
      .sort((a, b) => Number(must.includes(b.name)) - Number(must.includes(a.name))),
  );
  let results = $state<Record<string, string>>({});
  let boot = $state('');
  const full = $derived(Object.fromEntries(checks.map((c) => [c.name, results[c.name] ?? 'unchecked'])));
  const failing = $derived(checks.filter((c) => full[c.name] === 'fails'));
  const missing = $derived(checks.filter((c) => full[c.name] === 'unchecked' && must.includes(c.name)));
  const unseen = $derived(checks.filter((c) => full[c.name] === 'unchecked'));
  let told = $state(false);
  const seconds = $derived(parseNumber(boot));
  const causes = $derived(at.bench?.causes ?? []);

  /** Note what was looked at. Without the three that tell whether the die lives it says so and notes nothing. */
  export function confirm(breach: string | null = null): void {
    told = true;
    if (missing.length) return;
    if (Number.isNaN(seconds))
      return toast(say('bench-mode-no-number-leave-empty', { measured: boot }), { tone: 'wrong' });
    if (hands) return hands.switched(full, seconds, breach);
    at.do('power_on', { results: full, ...(seconds === null ? {} : { boot_s: seconds }) });
  }

  const allFine = () => missing.forEach((c) => (results[c.name] = 'fine'));
</script>

<div class="power">
  {#if missing.length > 1}
    {@const join = missing.map((c) => c.words.toLowerCase()).join(', ')}
    <div
      class="all"
      use:hold={() => {
        allFine();
        hands?.looked();
      }}
    >
      <Button onclick={allFine}
        ><span
          >{say('power-check-all-fine', { join })}{#if hands}<small>{say('power-check-or-hold')}</small>{/if}</span
        ></Button
      >
    </div>
  {/if}
  <ul>
    {#each checks as check (check.name)}
      <li class:fails={full[check.name] === 'fails'}>
        <span
          >{check.words}{#if must.includes(check.name)}<small>{say('power-check-has-to-be-looked')}</small>{/if}</span
        >
        <Choice
          bare
          legend={check.words}
          name="power-{check.name}"
          options={STATES}
          unmade="unchecked"
          bind:value={() => full[check.name] ?? 'unchecked', (v) => (results[check.name] = v)}
        />
      </li>
    {/each}
  </ul>
  <div class="foot lay-row">
    <TextField
      label={say('power-check-time-to-boot')}
      name="boot_s"
      numeric
      unit="s"
      bind:value={boot}
      hint={say('power-check-empty-when-not-timed')}
    />
    {#if !hands}
      <Button kind="main" onclick={() => confirm()}
        >{failing.length
          ? say('power-check-note-fail', { count: failing.length })
          : unseen.length
            ? say('power-check-note-not-looked-at', { count: unseen.length })
            : say('power-check-looked-at-each-all')}</Button
      >
    {/if}
  </div>
  {#if missing.length}
    <p class="missing" class:told role={told ? 'alert' : undefined}>
      {say('power-check-look-first', { join: missing.map((c) => c.words.toLowerCase()).join(', ') })}
    </p>
  {/if}
  {#if causes.length}
    <div class="causes">
      <h3>{say('power-check-likely-most-likely-first')}</h3>
      <ol>
        {#each causes as cause, i (i)}
          <li class:own={cause.from_map}>
            {cause.text}{#if cause.from_map}<small>{say('power-check-from-this-devices-map')}</small>{/if}
          </li>
        {/each}
      </ol>
    </div>
  {/if}
</div>

<style>
  .all {
    width: fit-content;
    max-width: 100%;
    margin: var(--gap-3) 0;
    touch-action: none;
    user-select: none;
  }
  .all small {
    display: block;
    margin: 0;
  }
  .all :global(.button) {
    padding-block: var(--gap-2);
    max-width: 100%;
    text-align: left;
    white-space: normal;
  }
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    padding: var(--gap-1) 0;
    border-bottom: 1px solid var(--rule);
  }
  .fails {
    background: var(--halt-tint);
    color: var(--halt);
    font-weight: 620;
  }
  small {
    margin-left: var(--gap-3);
    color: var(--soft);
    font-weight: 400;
  }
  .foot {
    align-items: end;
    gap: var(--gap-4);
    margin-top: var(--gap-3);
  }
  .causes {
    margin-top: var(--gap-4);
    padding: var(--gap-3);
    border-left: 4px solid var(--care);
    background: var(--care-tint);
  }
  ol {
    margin: var(--gap-2) 0 0;
    padding-left: 1.5rem;
    list-style: decimal;
  }
  ol li {
    display: list-item;
    border: 0;
  }
  .own {
    font-weight: 620;
  }
  small {
    margin-left: var(--gap-2);
    color: var(--soft);
    font-weight: 400;
  }
  .missing {
    margin: var(--gap-3) 0 0;
    font-size: var(--size-2);
    color: var(--soft);
  }
  .missing.told {
    color: var(--halt);
    font-weight: 700;
  }
  /* On a phone the answers stand in one row below what they answer. */
  @media (max-width: 40rem) {
    li {
      flex-direction: column;
      align-items: start;
      gap: var(--gap-1);
    }
  }
</style>
