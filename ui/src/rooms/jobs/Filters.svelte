<script lang="ts">
  import { say } from '$words/page-jobs.ftl';
  import Pick from '../../lib/parts/Pick.svelte';
  import { parseDay } from '../../lib/format';
  import DateField from '../../lib/parts/DateField.svelte';
  import { INTERFACES, KINDS, STAGES, VERDICTS } from '../../lib/words';
  import type { Wanted } from './wanted';

  interface Props {
    wanted: Wanted;
    onset: (more: Partial<Wanted>) => void;
  }
  let { wanted, onset }: Props = $props();
  const any = { value: '', label: say('jobs-any') };
  const of = (words: Record<string, string>) => [
    any,
    ...Object.entries(words).map(([value, label]) => ({ value, label })),
  ];
  const PICKS: {
    key: 'state' | 'stage' | 'kind' | 'verdict' | 'material' | 'order';
    label: string;
    options: { value: string; label: string }[];
  }[] = [
    {
      key: 'state',
      label: say('jobs-state'),
      options: [
        any,
        { value: 'open', label: say('jobs-state-open') },
        { value: 'closed', label: say('jobs-handed-over') },
      ],
    },
    { key: 'stage', label: say('jobs-stage'), options: [any, ...STAGES.map((s) => ({ value: s.id, label: s.name }))] },
    { key: 'kind', label: say('jobs-kind'), options: of(KINDS) },
    { key: 'verdict', label: say('jobs-verdict'), options: of(VERDICTS) },
    { key: 'material', label: say('jobs-material'), options: of(INTERFACES) },
    {
      key: 'order',
      label: say('jobs-order'),
      options: [
        { value: 'changed', label: say('jobs-order-changed') },
        { value: 'newest', label: say('jobs-order-newest') },
        { value: 'oldest', label: say('jobs-order-oldest') },
      ],
    },
  ];
</script>

<div class="grid">
  {#each PICKS as pick (pick.key)}
    <Pick
      label={pick.label}
      name={pick.key}
      options={pick.options}
      bind:value={() => wanted[pick.key], (value) => onset({ [pick.key]: value })}
    />
  {/each}
  <DateField
    label={say('jobs-since')}
    name="since"
    bind:value={() => wanted.since, (since) => parseDay(since) === since && onset({ since })}
  />
  <DateField
    label={say('jobs-until')}
    name="until"
    bind:value={() => wanted.until, (until) => parseDay(until) === until && onset({ until })}
  />
</div>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3);
  }
</style>
