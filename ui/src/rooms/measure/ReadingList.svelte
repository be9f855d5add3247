<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import Button from '../../lib/parts/Button.svelte';

  interface Props {
    rows: { id: string; value: string; unit: string; text: string }[];
    onremove: (id: string) => void;
  }
  let { rows, onremove }: Props = $props();
</script>

{#if rows.length}
  <ul>
    {#each rows as row (row.id)}
      <li>
        <strong>{row.value} {row.unit}</strong>
        <span class="quiet">{row.text}</span>
        <Button
          kind="bare"
          label={say('reading-list-take-off-reading', { row: row.value, unit: row.unit })}
          onclick={() => onremove(row.id)}>✕</Button
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  li {
    display: grid;
    grid-template-columns: 5.5rem 1fr auto;
    align-items: center;
    border-bottom: 1px solid var(--rule);
  }
</style>
