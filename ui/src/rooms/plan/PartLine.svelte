<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import type { Part } from '../../lib/api';
  import TrueDrop from '../../lib/charts/TrueDrop.svelte';
  import { fixed } from '../../lib/format';
  import { INTERFACES, TARGETS } from '../../lib/words';
  import { STOCK } from './plan-words';

  interface Props {
    part: Part;
  }
  let { part }: Props = $props();
  const UNITS: Record<string, string> = { piece: 'pieces' };
  const amount = $derived.by(() => {
    if (part.amount === null) return say('part-line-amount-not-known');
    if (part.unit === 'piece')
      return say('piece-count', { count: Math.round(part.amount) - part.spare, spare: part.spare });
    return `${fixed(part.amount, part.amount < 1 ? 3 : 1)} ${UNITS[part.unit] ?? part.unit}`;
  });
  const size = $derived(
    part.width_mm && part.length_mm ? `${fixed(part.width_mm, 1)} × ${fixed(part.length_mm, 1)} mm` : '',
  );
</script>

<li>
  <div class="top">
    <strong>{TARGETS[part.target] ?? part.target}</strong>
    <span>{part.product || part.words || INTERFACES[part.kind]}</span>
    <span class="amount"
      >{amount}{#if part.volume_ul}<small>{fixed(part.volume_ul, 1)} µL</small>{/if}</span
    >
    <span class="quiet">{size}</span>
    <span class:short={part.stock !== 'held'}
      >{STOCK[part.stock] ?? part.stock}{#if part.lot}{say('part-line-lot', {
          lot: part.lot,
        })}{/if}{#if part.left !== null}{say('part-line-stay', {
          left: fixed(part.left, 2),
          unit: part.unit,
        })}{/if}</span
    >
  </div>
  {#if part.lacks}<p class="short">{part.lacks}</p>{/if}
  {#if part.drop && part.width_mm && part.length_mm}
    <TrueDrop drop={part.drop} widthMm={part.width_mm} lengthMm={part.length_mm} />
  {/if}
  {#if part.school_reason}<p class="quiet">{part.school_reason}</p>{/if}
</li>

<style>
  li {
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  .top {
    display: grid;
    grid-template-columns: 8.5rem 1.2fr 8rem 8rem 1.4fr;
    gap: 0 var(--gap-3);
    align-items: baseline;
  }
  .amount {
    font-weight: 620;
  }
  small {
    margin-left: var(--gap-2);
    color: var(--soft);
    font-size: var(--size-0);
    font-weight: 400;
  }
  .short {
    color: var(--care);
    font-weight: 620;
  }
  @media (max-width: 760px) {
    .top {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
