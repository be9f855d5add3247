<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import type { Schemas } from '../../lib/api';
  import { figure } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Working from '../../lib/parts/Working.svelte';

  interface Props {
    repeats: Schemas['RepeatView'][];
    accept: string;
    closed: boolean;
    onfile: (file: File) => void;
    onremove: (id: string, name: string) => void;
  }
  let { repeats, accept, closed, onfile, onremove }: Props = $props();
</script>

<Working
  summary={say('repeats-repeats')}
  stand={repeats.length ? say('repeats-repeats-this-run', { count: repeats.length }) : say('repeats-none')}
>
  <p class="quiet">
    {say('repeats-same-recipe-once-more')}
  </p>
  {#if repeats.length}
    <DataTable>
      <thead>
        <tr
          ><th scope="col">{say('repeats-log')}</th><th scope="col" class="number">{say('repeats-die-c')}</th><th
            scope="col"
            class="number">{say('repeats-power-w')}</th
          ><th scope="col">{say('repeats-settled')}</th><th scope="col"
            ><span class="off-screen">{say('repeats-take-off')}</span></th
          ></tr
        >
      </thead>
      <tbody>
        {#each repeats as r (r.id)}
          <tr>
            <th scope="row">{r.file_name}</th>
            <td class="number">{figure(r.die_c, '°C')}</td>
            <td class="number">{figure(r.power, 'W')}</td>
            <td>{r.settled ? say('repeats-yes') : say('repeats-no')}</td>
            <td class="number">
              {#if !closed}
                <Button
                  kind="bare"
                  label={say('repeats-take-off-2', { file_name: r.file_name })}
                  onclick={() => onremove(r.id, r.file_name)}>✕</Button
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
      <FileDrop
        low
        label={say('repeats-drop-log-repeat-here')}
        hint={say('repeats-or-press-enter-to')}
        {accept}
        {onfile}
      />
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
