<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import type { Schemas } from '../../lib/api';
  import Pick from '../../lib/parts/Pick.svelte';
  import { ROLES } from '../../lib/words';

  interface Props {
    channels: Schemas['ChannelOut'][];
    onmap: (header: string, role: string | null) => void;
  }
  let { channels, onmap }: Props = $props();
  const options = [
    { value: '', label: say('column-table-no-role') },
    ...Object.entries(ROLES).map(([value, label]) => ({ value, label })),
  ];
  const sorted = $derived([...channels].sort((a, b) => Number(!!b.role) - Number(!!a.role)));

  function sure(confidence: number): string {
    if (confidence >= 1) return say('column-table-set-by-hand');
    return confidence >= 0.75 ? say('column-table-sure') : say('column-table-please-check');
  }
</script>

{#snippet role(channel: (typeof sorted)[number])}
  {#if channel.numeric}
    <Pick
      label={say('column-table-role', { header: channel.header })}
      name="role"
      bare
      bind:value={() => channel.role ?? '', (v) => onmap(channel.header, v || null)}
      {options}
    />
  {:else}
    <span class="quiet">{say('column-table-text-kept')}</span>
  {/if}
{/snippet}
<DataTable
  rows={sorted}
  key={(channel) => channel.header}
  rowIs={(channel) => (channel.role ? '' : 'plain')}
  columns={[
    { head: say('column-table-column-in-file'), name: true, text: (channel) => channel.header },
    { head: say('column-table-unit'), text: (channel) => channel.unit || '–' },
    { head: say('column-table-understood-as'), cell: role },
    {
      head: say('column-table-how-sure'),
      is: 'quiet',
      text: (channel) => (channel.role ? sure(channel.confidence) : ''),
    },
  ]}
/>

<style>
  :global(tr.plain) > :global(th) {
    font-weight: 400;
    color: var(--soft);
  }
</style>
