<script lang="ts">
  import { say } from '$words/page-workings.ftl';
  import CutDrawing from '../../lib/charts/CutDrawing.svelte';
  import TrueDrop from '../../lib/charts/TrueDrop.svelte';
  import { parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import IntoJob from './IntoJob.svelte';
  import type { WorkingState } from './working.svelte';

  interface Props {
    state: WorkingState;
  }
  let { state: working }: Props = $props();
  let choosing = $state(false);
  const info = $derived(working.info);
  const bead = $derived(Number(working.results.find((r) => r.key === 'bead_diameter_mm')?.text ?? 0));
  const side = (key: string) => parseNumber(working.form[key] ?? '') || 1;
  const cutQuery = $derived(new URLSearchParams({ given: JSON.stringify(working.given) }));

  async function copy() {
    try {
      await navigator.clipboard.writeText(`${location.origin}${working.link}`);
      toast(say('calculator-link-copied-carries-what'));
    } catch {
      toast(say('calculator-address-this-page-link'));
    }
  }
</script>

<header>
  <h2>{info.title}</h2>
  <p class="quiet">{info.words[0]?.toUpperCase()}{info.words.slice(1)}.</p>
</header>
<div class="desk">
  <form onsubmit={(e) => e.preventDefault()}>
    {#each info.inputs as input (input.key)}
      {#if input.choices.length}
        <Pick
          label={input.words}
          name={input.key}
          options={input.choices.map((c) => ({ value: c, label: c.replaceAll('_', ' ') }))}
          bind:value={() => working.form[input.key] ?? '', (v) => working.set(input.key, v)}
          error={working.errors[input.key]}
        />
      {:else}
        <TextField
          label={input.words}
          name={input.key}
          unit={input.unit}
          numeric={!['pieces', 'sheet', 'unit', 'gaps_mm', 'levels_db'].includes(input.key)}
          bind:value={() => working.form[input.key] ?? '', (v) => working.set(input.key, v)}
          error={working.errors[input.key]}
          hint={input.needed ? '' : say('calculator-may-stay-empty')}
        />
      {/if}
    {/each}
  </form>
  <div class="slip" aria-live="polite">
    {#if working.errors['']}<p class="wrong">{working.errors['']}</p>{/if}
    {#each working.results as r (r.key)}
      <p class:words={r.key === 'reason'}>
        <span class="quiet">{r.words}</span>
        <strong
          >{r.text}{#if r.unit}<small>{r.unit}</small>{/if}</strong
        >
      </p>
    {:else}
      <p class="quiet">{working.busy ? say('calculator-working') : say('calculator-fill-in-what-marked')}</p>
    {/each}
  </div>
</div>
{#if bead}
  <TrueDrop
    drop={{ school: 'bead', strokes: 0, stroke_mm: 0, diameter_mm: bead }}
    widthMm={side('width_mm')}
    lengthMm={side('length_mm')}
  />
{/if}
{#if working.drawings.length}
  <div class="sheets lay-row">
    {#each working.drawings as drawing, i (i)}<CutDrawing {drawing} />{/each}
  </div>
  <div class="actions no-print lay-row">
    {#each ['pdf', 'svg', 'dxf'] as form (form)}
      <Button href="/api/workings/cut/sheet.{form}?{cutQuery}" download
        >{say('calculator-at', { to_upper_case: form.toUpperCase() })}</Button
      >
    {/each}
  </div>
{/if}
<dl>
  <dt>{say('calculator-formula')}</dt>
  <dd>{info.formula}</dd>
  <dt>{say('calculator-limits')}</dt>
  <dd>{info.limits}</dd>
  <dt>{say('calculator-source')}</dt>
  <dd>{info.source}</dd>
</dl>
<div class="actions no-print lay-row">
  <Button kind="main" disabled={!working.results.length} onclick={() => (choosing = true)}
    >{say('calculator-put-into-job')}</Button
  >
  <Button onclick={() => void copy()}>{say('calculator-copy-link')}</Button>
  <Button onclick={() => print()}>{say('calculator-print')}</Button>
</div>
<IntoJob bind:open={choosing} name={info.name} given={working.given} />

<style>
  header {
    margin-bottom: var(--gap-4);
  }
  .desk {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: var(--gap-5);
    align-items: start;
  }
  form {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: var(--gap-3) var(--gap-4);
  }
  /* The slip of paper that falls out of the calculator: torn edge above, figures large. */
  .slip {
    padding: var(--gap-4);
    border-left: 4px solid var(--owl);
    background: var(--sheet);
    box-shadow: inset 0 0 0 1px var(--rule);
  }
  .slip p {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: 0 var(--gap-3);
    padding: var(--gap-2) 0;
    border-bottom: 1px dashed var(--rule);
  }
  .slip p:last-child {
    border-bottom: 0;
  }
  .slip .words {
    display: block;
  }
  .slip .words strong {
    display: block;
    font-family: var(--font-text);
    font-size: var(--size-1);
    font-weight: 400;
  }
  strong {
    font-family: var(--font-head);
    font-size: var(--size-4);
    line-height: 1.2;
  }
  small {
    margin-left: 0.3em;
    font-size: var(--size-2);
    font-weight: 400;
  }
  .wrong {
    color: var(--halt);
    font-weight: 620;
  }
  .sheets {
    gap: var(--gap-5);
    margin-top: var(--gap-5);
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: var(--gap-1) var(--gap-4);
    margin: var(--gap-5) 0;
    padding-top: var(--gap-3);
    border-top: 2px solid var(--ink);
  }
  dt {
    color: var(--soft);
  }
  dd {
    margin: 0;
  }
  .actions {
    margin-top: var(--gap-3);
  }
  @media (max-width: 1100px) {
    .desk {
      grid-template-columns: 1fr;
    }
  }
</style>
