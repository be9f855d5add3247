<script lang="ts">
  import { say } from '$words/page-job.ftl';
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

<DataTable>
  <thead>
    <tr
      ><th scope="col">{say('column-table-column-in-file')}</th><th scope="col">{say('column-table-unit')}</th><th
        scope="col">{say('column-table-understood-as')}</th
      ><th scope="col">{say('column-table-how-sure')}</th></tr
    >
  </thead>
  <tbody>
    {#each sorted as channel (channel.header)}
      <tr class:plain={!channel.role}>
        <th scope="row">{channel.header}</th>
        <td>{channel.unit || '–'}</td>
        <td>
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
        </td>
        <td class="quiet">{channel.role ? sure(channel.confidence) : ''}</td>
      </tr>
    {/each}
  </tbody>
</DataTable>

<style>
  th {
    overflow-wrap: anywhere;
  }
  .plain th {
    font-weight: 400;
    color: var(--soft);
  }
</style>
