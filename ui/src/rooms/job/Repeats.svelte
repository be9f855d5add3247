<script lang="ts">
  import type { Schemas } from '../../lib/api';
  import { figure } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Working from '../../lib/parts/Working.svelte';

  interface Props {
    repeats: Schemas['RepeatOut'][];
    accept: string;
    closed: boolean;
    onfile: (file: File) => void;
    onremove: (id: string, name: string) => void;
  }
  let { repeats, accept, closed, onfile, onremove }: Props = $props();
</script>

<Working summary={repeats.length ? `Repeats of this run: ${repeats.length}` : 'Repeats of this run: none'}>
  <p class="quiet">
    The same recipe once more, after a rest. With repeats the verdict takes the scatter from run to run from them and no
    longer from a usual value.
  </p>
  {#if repeats.length}
    <DataTable>
      <thead>
        <tr
          ><th scope="col">Log</th><th scope="col" class="number">die, °C</th><th scope="col" class="number"
            >power, W</th
          ><th scope="col">settled</th><th scope="col"><span class="off-screen">take off</span></th></tr
        >
      </thead>
      <tbody>
        {#each repeats as r (r.id)}
          <tr>
            <th scope="row">{r.file_name}</th>
            <td class="number">{figure(r.die_c, '°C')}</td>
            <td class="number">{figure(r.power, 'W')}</td>
            <td>{r.settled ? 'yes' : 'no'}</td>
            <td class="number">
              {#if !closed}
                <Button kind="bare" label="Take {r.file_name} off" onclick={() => onremove(r.id, r.file_name)}>✕</Button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </DataTable>
  {/if}
  {#if !closed}
    <div class="drop">
      <FileDrop low label="Drop the log of a repeat here" hint="or press Enter to choose a file" {accept} {onfile} />
    </div>
  {/if}
</Working>

<style>
  p {
    margin: 0 0 var(--gap-3);
    max-width: 46rem;
  }
  .drop {
    margin-top: var(--gap-3);
  }
</style>
