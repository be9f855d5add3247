<script lang="ts">
  // How the device looked when it came in: photos by place, each with marks where something is.
  import { say } from '$words/page-counter.ftl';
  import type { Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';

  interface Props {
    conditions: Schemas['ConditionPhotoOut'][];
    sending: boolean;
    onadd: (file: File, place: string) => void;
    onchange: (one: Schemas['ConditionPhotoOut'], change: Partial<Schemas['ConditionChangeIn']>) => void;
  }
  let { conditions, sending, onadd, onchange }: Props = $props();
  const PLACES = ['lid', 'screen', 'keyboard', 'underside', 'edges', 'ports', 'other'].map((value) => ({
    value,
    label: say(`condition-place-${value}`),
  }));
  let place = $state('lid');

  function taken(event: Event) {
    const input = event.currentTarget as HTMLInputElement;
    const [file] = input.files ?? [];
    if (file) onadd(file, place);
    input.value = '';
  }
  function mark(event: MouseEvent, one: Schemas['ConditionPhotoOut']) {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    // A press of the keyboard has no place: it marks the middle.
    const byHand = event.detail > 0;
    const share = (v: number) => Math.min(1, Math.max(0, Math.round(v * 1000) / 1000));
    const x = byHand ? share((event.clientX - box.left) / box.width) : 0.5;
    const y = byHand ? share((event.clientY - box.top) / box.height) : 0.5;
    onchange(one, { marks: [...one.marks, { x, y, words: '' }] });
  }
  const words = (one: Schemas['ConditionPhotoOut'], at: number, text: string) =>
    onchange(one, { marks: one.marks.map((m, i) => (i === at ? { ...m, words: text } : m)) });
  const unmark = (one: Schemas['ConditionPhotoOut'], at: number) =>
    onchange(one, { marks: one.marks.filter((_, i) => i !== at) });
</script>

<div class="row lay-row">
  <Pick label={say('condition-where')} name="place" options={PLACES} bind:value={place} />
  <label class="take" class:busy={sending}>
    <input type="file" accept="image/*" capture="environment" disabled={sending} onchange={taken} />
    <span>{sending ? say('condition-sending') : say('condition-take')}</span>
  </label>
</div>
{#if conditions.length}
  <p class="quiet">{say('condition-how')}</p>
  <ul>
    {#each conditions as one (one.id)}
      <li>
        <button class="photo" type="button" aria-label={say('condition-mark')} onclick={(e) => mark(e, one)}>
          <img src="/api/photos/{one.photo_id}" alt={say(`condition-place-${one.place}`)} />
          {#each one.marks as m, i (i)}
            <i style:left="{100 * m.x}%" style:top="{100 * m.y}%" aria-hidden="true">{i + 1}</i>
          {/each}
        </button>
        <strong>{say(`condition-place-${one.place}`)}</strong>
        {#each one.marks as m, i (i)}
          <div class="mark" role="group" onchange={() => words(one, i, m.words)}>
            <b>{i + 1}</b>
            <TextField
              label={say('condition-what', { number: i + 1 })}
              name="mark-{i}"
              bind:value={() => m.words, (v) => (m.words = v)}
            />
            <Button kind="bare" label={say('condition-unmark', { number: i + 1 })} onclick={() => unmark(one, i)}
              >✕</Button
            >
          </div>
        {/each}
        <Button onclick={() => onchange(one, { removed: true })}>{say('condition-remove')}</Button>
      </li>
    {/each}
  </ul>
{:else}
  <p class="quiet">{say('condition-none')}</p>
{/if}

<style>
  .row {
    align-items: end;
    margin-bottom: var(--gap-3);
  }
  .take {
    position: relative;
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
    padding: 0 var(--gap-4);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    font-weight: 620;
    cursor: pointer;
  }
  .take input {
    position: absolute;
    inset: 0;
    opacity: 0;
    cursor: pointer;
  }
  .take:focus-within {
    outline: 3px solid var(--owl);
    outline-offset: 2px;
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 17rem), 1fr));
    gap: var(--gap-4);
    margin-top: var(--gap-3);
  }
  li {
    display: grid;
    gap: var(--gap-2);
    align-content: start;
    justify-items: start;
  }
  .photo {
    position: relative;
    width: 100%;
    padding: 0;
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    overflow: hidden;
    background: none;
    cursor: crosshair;
    line-height: 0;
  }
  img {
    width: 100%;
    height: auto;
    min-height: 6rem;
  }
  i,
  b {
    display: grid;
    place-items: center;
    width: 1.7rem;
    height: 1.7rem;
    border: 2px solid var(--paper);
    border-radius: 50%;
    background: var(--halt);
    color: var(--paper);
    font-style: normal;
    font-weight: 700;
    line-height: 1;
  }
  i {
    position: absolute;
    transform: translate(-50%, -50%);
  }
  .mark {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    gap: var(--gap-2);
    align-items: end;
    width: 100%;
  }
  .mark b {
    margin-bottom: 0.5rem;
  }
</style>
