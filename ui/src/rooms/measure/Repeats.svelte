<script lang="ts">
  import { say } from '$words/page-measure.ftl';
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
    {#snippet off(r: (typeof repeats)[number])}
      <Button
        kind="bare"
        label={say('repeats-take-off-2', { file_name: r.file_name })}
        onclick={() => onremove(r.id, r.file_name)}>✕</Button
      >
    {/snippet}
    <DataTable
      rows={repeats}
      key={(r) => r.id}
      columns={[
        { head: say('repeats-log'), name: true, text: (r) => r.file_name },
        { head: say('repeats-die-c'), is: 'number', text: (r) => figure(r.die_c, '°C') },
        { head: say('repeats-power-w'), is: 'number', text: (r) => figure(r.power, 'W') },
        { head: say('repeats-settled'), text: (r) => (r.settled ? say('repeats-yes') : say('repeats-no')) },
        !closed && { head: say('repeats-take-off'), silent: true, is: 'number', cell: off },
      ]}
    />
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
