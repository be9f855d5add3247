<script lang="ts">
  // What was worked out for this job and noted with its plan.
  import type { Plan } from '../../lib/api';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { say } from '$words/page-plan.ftl';

  interface Props {
    plan: Plan;
    closed: boolean;
    onforget: (id: string) => Promise<void>;
  }
  let { plan, closed, onforget }: Props = $props();

  async function forget(id: string) {
    await onforget(id);
    toast(say('plan-page-taken-off-plan'));
  }
</script>

<section>
  <h3>{say('plan-page-worked-out-for-this')}</h3>
  <ul>
    {#each plan.notes as note (note.id)}
      <li>
        <a href="/workings/{note.name}?{new URLSearchParams(note.given)}">{note.title}</a>
        <span>{note.lines.join(', ')}</span>
        <span class="quiet">{note.by}, {day(note.at)}</span>
        {#if !closed}<Button
            kind="bare"
            label={say('plan-page-take-off', { title: note.title })}
            onclick={() => void forget(note.id)}>✕</Button
          >{/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  section {
    margin-top: var(--gap-5);
  }
  ul {
    margin: var(--gap-2) 0 0;
  }
  li {
    display: grid;
    grid-template-columns: 8rem 1fr auto auto;
    gap: var(--gap-3);
    align-items: center;
    border-bottom: 1px solid var(--rule);
  }
</style>
