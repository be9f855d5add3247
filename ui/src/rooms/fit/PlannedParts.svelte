<script lang="ts">
  import { say } from '$words/page-fit.ftl';
  import { client, take, type FitItem, type Option, type Part, type Schemas } from '../../lib/api';
  import { press } from '../../lib/press';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { TARGETS } from '../../lib/words';

  interface Props {
    jobId: string;
    option: Option;
    items: FitItem[];
    onitems: (items: FitItem[]) => void;
  }
  let { jobId, option, items, onitems }: Props = $props();
  const params = $derived({ path: { job_id: jobId } });
  const done = (part: Part) => items.some((i) => i.target === part.target && i.kind === part.kind);
  const amount = (part: Part) =>
    part.amount === null
      ? say('planned-parts-measure-die-first')
      : part.unit === 'piece'
        ? say('piece-count', { count: Math.round(part.amount) - part.spare, spare: part.spare })
        : `${fixed(part.amount, 3)} ${part.unit}`;
  const cutParts = (part: Part) => part.unit === 'piece' && ['pad', 'phase_change_sheet'].includes(part.kind);

  function whence(part: Part): string {
    if (part.lot) return say('planned-parts-lot', { lot: part.lot });
    if (cutParts(part)) return say('planned-parts-cut-below');
    return part.stock === 'not known' ? say('planned-parts-booked-by-its-amount') : say('planned-parts-not-on-shelf');
  }

  const book = press(async (part: Part) => {
    const unit = part.unit === 'piece' ? 'pieces' : part.unit;
    const body = {
      target: part.target,
      kind: part.kind,
      amount: part.amount === null ? null : Number(part.amount.toPrecision(4)),
      amount_unit: part.amount === null ? '' : unit,
      lot_id: part.lot_id,
    } as Schemas['FitItemIn'];
    onitems((await take(client.POST('/api/jobs/{job_id}/fit/items', { params, body }))).items);
    toast(
      part.lot_id ? say('planned-parts-booked-from-lot', { lot: part.lot }) : say('planned-parts-noted-did-not-come'),
    );
  });
</script>

<section>
  <h3>{say('planned-parts-planned', { words: option.words })}</h3>
  <ul>
    {#each option.parts as part, i (i)}
      <li class:done={done(part)}>
        <strong>{TARGETS[part.target] ?? part.target}</strong>
        <span>{part.product || part.words || part.kind.replaceAll('_', ' ')}</span>
        <span>{amount(part)}</span>
        <span class="quiet">{whence(part)}</span>
        {#if done(part)}
          <span class="tick">{say('planned-parts-noted')}</span>
        {:else if !cutParts(part)}
          <Button onclick={() => void book(part)}
            >{part.lot_id ? say('planned-parts-fitted-book') : say('planned-parts-fitted-note')}</Button
          >
        {:else}
          <span></span>
        {/if}
      </li>
    {/each}
  </ul>
  {#each option.procedures as procedure (procedure.name)}
    <p class="care">{procedure.words}: {procedure.caution}</p>
  {/each}
</section>

<style>
  section {
    margin-bottom: var(--gap-5);
  }
  h3 {
    margin-bottom: var(--gap-2);
  }
  ul {
    border-top: 2px solid var(--ink);
  }
  li {
    display: grid;
    grid-template-columns: 9rem 1fr 8rem 9rem auto;
    gap: var(--gap-3);
    align-items: center;
    min-height: 3.25rem;
    border-bottom: 1px solid var(--rule);
  }
  .tick {
    color: var(--after);
    font-weight: 620;
  }
  .care {
    margin-top: var(--gap-2);
    padding: var(--gap-2) var(--gap-3);
    border-left: 4px solid var(--care);
    background: var(--care-tint);
  }
  @media (max-width: 760px) {
    li {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
