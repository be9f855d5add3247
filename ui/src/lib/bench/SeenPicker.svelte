<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // What is seen, part by part, each state with a drawing to compare with; what follows for the plan stands below.
  import type { BenchJob } from './bench.svelte';
  import { benchWords } from './bench.svelte';
  import SightDrawing from './SightDrawing.svelte';

  interface Props {
    at: BenchJob;
  }
  let { at }: Props = $props();
  const parts = $derived(benchWords.table?.sights ?? []);
  const found = $derived(new Map((at.bench?.found ?? []).map((f) => [f.part, f])));
  // What was picked here shows at once; the server's word follows.
  const now = (part: string) =>
    at.queue.findLast((q) => q.kind === 'found' && q.data.part === part)?.data.seen ?? found.get(part)?.seen ?? '';
  // What nobody has looked at yet stands there first, and stays when it was noted.
  let shown = $state('');
  $effect(() => {
    if (!shown) shown = (parts.find((one) => !now(one.part)) ?? parts[0])?.part ?? '';
  });
  const one = $derived(parts.find((part) => part.part === shown));
  const here = $derived(one ? now(one.part) : '');
  const chosen = $derived(one?.states.find((state) => state.name === here));
  const photo = $derived(one ? found.get(one.part)?.photo : undefined);

  async function photograph(event: Event, name: string, seen: string) {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    const photo = await at.addPhoto(file, 'found', '');
    at.do('found', { part: name, seen, photo });
  }
</script>

<div class="picker">
  <div class="beside">
    <div class="parts lay-row" role="tablist" aria-label={say('seen-picker-parts-to-look-at')}>
      {#each parts as part (part.part)}
        {@const state = part.states.find((look) => look.name === now(part.part))}
        <button
          type="button"
          role="tab"
          aria-selected={part.part === shown}
          class:unsound={state && !state.sound}
          onclick={() => (shown = part.part)}
          ><span>{part.words}</span><small>{state?.words ?? say('seen-picker-not-looked-at')}</small></button
        >
      {/each}
    </div>
    {#if one}
      <fieldset>
        <legend>{one.words}</legend>
        <div class="states">
          {#each one.states as look (look.name)}
            <label class:on={here === look.name} title={look.tells}>
              <input
                type="radio"
                name="seen-{one.part}"
                value={look.name}
                checked={here === look.name}
                onchange={() => at.do('found', { part: one.part, seen: look.name })}
              />
              <span class="drawing"><SightDrawing part={one.part} seen={look.name} /></span>
              <strong>{look.words}</strong>
              <small>{look.tells}</small>
            </label>
          {/each}
        </div>
        {#if chosen?.follows}<p class:sound={chosen.sound}>{chosen.follows}</p>{/if}
        {#if here}
          <div class="proof no-print">
            {#if photo}
              <img
                src="/api/photos/{photo}?size=small"
                alt={say('seen-picker-as-was-seen', { words: one.words })}
                width="96"
                height="72"
                loading="lazy"
              />
            {/if}
            <label class="file">
              {photo ? say('seen-picker-another-photo') : say('seen-picker-photo')}
              <input
                type="file"
                accept="image/jpeg,image/png,image/webp"
                capture="environment"
                aria-label={say('seen-picker-photo-2', { words: one.words })}
                onchange={(e) => void photograph(e, one.part, String(here))}
              />
            </label>
          </div>
        {/if}
      </fieldset>
    {/if}
  </div>
</div>

<style>
  .picker {
    container-type: inline-size;
  }
  fieldset {
    margin: 0 0 var(--gap-4);
    padding: 0;
    border: 0;
    min-width: 0;
  }
  legend {
    padding: 0;
    margin-bottom: var(--gap-2);
    font-family: var(--font-head);
    font-size: var(--size-2);
    font-weight: 700;
  }
  .states {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(8.6rem, 1fr));
    gap: var(--gap-2);
  }
  label {
    position: relative;
    display: grid;
    grid-template-rows: auto auto 1fr;
    padding: var(--gap-2);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
    cursor: pointer;
    line-height: 1.25;
  }
  label:hover {
    background: var(--owl-tint);
  }
  label.on {
    border-color: var(--owl);
    box-shadow: inset 0 0 0 2px var(--owl);
  }
  label:focus-within {
    outline: 3px solid var(--owl);
    outline-offset: 2px;
  }
  input {
    position: absolute;
    opacity: 0;
    width: 1px;
    height: 1px;
  }
  .drawing {
    display: block;
    max-width: 6.4rem;
  }
  small {
    color: var(--soft);
    font-size: var(--size-0);
  }
  p {
    margin-top: var(--gap-2);
    padding: var(--gap-2) var(--gap-3);
    border-left: 5px solid var(--care);
    background: var(--care-tint);
    font-weight: 620;
  }
  p.sound {
    border-color: var(--after);
    background: var(--after-tint);
    font-weight: 400;
  }
  .proof {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
    margin-top: var(--gap-2);
  }
  .proof img {
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    object-fit: cover;
  }
  .file {
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
    padding: 0 var(--gap-3);
    border-color: var(--ink);
    font-weight: 620;
  }
  .parts {
    gap: var(--gap-1);
    margin-bottom: var(--gap-3);
  }
  .parts button {
    display: grid;
    align-content: center;
    min-height: var(--target);
    padding: var(--gap-1) var(--gap-3);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--paper);
    color: var(--ink);
    font: inherit;
    line-height: 1.25;
    text-align: left;
    cursor: pointer;
  }
  .parts small {
    color: inherit;
  }
  .parts span,
  .parts .unsound small {
    font-weight: 620;
  }
  .parts [aria-selected='true'] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--paper);
  }
  /* Where there is room: all parts with what was seen of them on the left, the drawings of one on the right. */
  @container (min-width: 44rem) {
    .beside {
      display: grid;
      grid-template-columns: 15rem minmax(0, 1fr);
      gap: var(--gap-5);
      align-items: start;
    }
    .parts {
      flex-direction: column;
      flex-wrap: nowrap;
    }
    .parts button {
      grid-template-columns: minmax(0, 1fr) auto;
      gap: var(--gap-2);
      align-items: baseline;
    }
  }
  @media print {
    .parts {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    .parts [aria-selected='true'] {
      background: none;
      color: var(--ink);
    }
  }
</style>
