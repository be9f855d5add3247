<script lang="ts">
  import { say } from '$words/page-workings.ftl';
  import { untrack } from 'svelte';
  import { resource } from '../../lib/asking.svelte';
  import { client, take } from '../../lib/api';
  import Notice from '../../lib/parts/Notice.svelte';
  import HandbookText from '../../lib/parts/HandbookText.svelte';
  import { SUBJECTS, titleOf } from '../../lib/handbook';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import StepList from '../../lib/parts/StepList.svelte';
  import Calculator from './Calculator.svelte';
  import { WorkingState } from './working.svelte';

  interface Props {
    name?: string;
    subject?: string;
  }
  let { name, subject }: Props = $props();
  const found = resource(
    () => ({}),
    () => take(client.GET('/api/workings')),
  );
  const all = $derived(found.value?.workings ?? []);
  const procedures = $derived(found.value?.procedures ?? []);
  let shown = $state.raw<WorkingState | null>(null);
  const groups = $derived([...new Set(all.map((w) => w.group))]);
  const info = $derived(subject ? undefined : name ? all.find((w) => w.name === name) : all[0]);

  $effect(() => {
    const wanted = info;
    untrack(() => {
      shown = wanted ? new WorkingState(wanted, new URLSearchParams(location.search)) : null;
    });
  });
</script>

<h1>{say('workings-workings')}</h1>
<p class="lead quiet">{say('workings-every-calculator-on-its')}</p>
<Trouble of={found} />
{#if all.length}<div class="room">
    <nav aria-label={say('workings-calculators')} class="no-print">
      {#each groups as group (group)}
        <h2>{group}</h2>
        <ul>
          {#each all.filter((w) => w.group === group) as working (working.name)}
            <li>
              <a href="/workings/{working.name}" aria-current={info?.name === working.name ? 'page' : undefined}
                >{working.title}</a
              >
            </li>
          {/each}
        </ul>
      {/each}
      {#if procedures.length}
        <h2>{say('workings-hands')}</h2>
        <ul>
          <li>
            <a href="/workings/steps" aria-current={name === 'steps' ? 'page' : undefined}
              >{say('workings-step-lists')}</a
            >
          </li>
        </ul>
      {/if}
      <h2>{say('workings-rules')}</h2>
      <ul>
        {#each SUBJECTS as rules (rules)}
          <li>
            <a href="/handbook/{rules}" aria-current={subject === rules ? 'page' : undefined}>{titleOf(rules)}</a>
          </li>
        {/each}
      </ul>
    </nav>
    <div class="bench">
      {#if subject && titleOf(subject)}
        <h2>{titleOf(subject)}</h2>
        <HandbookText {subject} />
      {:else if subject}
        <Notice tone="care" title={say('workings-there-no-rules', { subject })}
          >{say('workings-choose-one-from-list')}</Notice
        >
      {:else if shown}
        {#key shown}<Calculator state={shown} />{/key}
      {:else if name === 'steps' && all.length}
        <h2>{say('workings-step-lists')}</h2>
        <p class="quiet">
          {say('workings-what-goes-wrong-when')}
        </p>
        {#each procedures as procedure (procedure.name)}<StepList {procedure} />{/each}
      {:else if name && all.length}
        <Notice tone="care" title={say('workings-there-no-calculator', { name })}
          >{say('workings-choose-one-from-list')}</Notice
        >
      {/if}
    </div>
  </div>{:else if !found.trouble}<Skeleton />{/if}

<style>
  .lead {
    margin: var(--gap-1) 0 var(--gap-5);
  }
  .room {
    display: grid;
    grid-template-columns: 13rem minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
  }
  nav h2 {
    margin: var(--gap-3) 0 0;
    padding-bottom: 2px;
    border-bottom: 2px solid var(--ink);
    font-size: var(--size-1);
  }
  nav h2:first-child {
    margin-top: 0;
  }
  li a {
    display: flex;
    align-items: center;
    min-width: var(--target);
    min-height: var(--target);
    padding: 0 var(--gap-2);
    text-decoration: none;
  }
  li a:hover {
    background: var(--owl-tint);
  }
  li a[aria-current] {
    box-shadow: inset 4px 0 0 var(--owl);
    background: var(--owl-tint);
    font-weight: 620;
  }
  @media (max-width: 860px) {
    .room {
      grid-template-columns: 1fr;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
    }
  }
</style>
