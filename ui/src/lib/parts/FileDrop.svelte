<script lang="ts">
  import { dropped, meant } from './dropped';

  interface Props {
    label: string;
    hint: string;
    /** Endings and media types the file chooser offers. */
    accept: string;
    /** A low one, beside something that matters more. */
    low?: boolean;
    /** Takes several at once where there is an onfiles. */
    onfile?: (file: File) => void;
    onfiles?: (files: File[]) => void;
    /** What the way to a whole folder is called, where there is one. */
    folder?: string;
  }
  let { label, hint, accept, low = false, onfile, onfiles, folder = '' }: Props = $props();
  let over = $state(false);

  function drop(event: DragEvent) {
    event.preventDefault();
    over = false;
    dropped(event.dataTransfer, accept, given);
  }

  function given(files: File[]) {
    const [first] = files;
    if (!first) return;
    onfile?.(first);
    onfiles?.(files);
  }
</script>

<label
  class="drop lay-stack"
  class:over
  class:low
  ondragover={(e) => {
    e.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={drop}
>
  <input
    type="file"
    multiple={!!onfiles}
    {accept}
    onchange={(e) => {
      given([...(e.currentTarget.files ?? [])]);
      e.currentTarget.value = '';
    }}
  />
  {#if !low}
    <svg viewBox="0 0 64 40" width="64" height="40" aria-hidden="true">
      <path class="axis" d="M4 2v34h58" />
      <path class="curve" d="M8 32h7c4-20 9-22 18-23h28" />
    </svg>
  {/if}
  <strong>{label}</strong>
  <span class="quiet">{hint}</span>
</label>
{#if folder}
  <label class="folder">
    <input
      type="file"
      webkitdirectory
      onchange={(e) => {
        given(meant([...(e.currentTarget.files ?? [])], accept));
        e.currentTarget.value = '';
      }}
    />
    <span>{folder}</span>
  </label>
{/if}

<style>
  .drop {
    position: relative;
    justify-items: center;
    align-content: center;
    gap: var(--gap-1);
    min-height: 11rem;
    padding: var(--gap-5);
    border: 2px dashed var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
    text-align: center;
    cursor: pointer;
  }
  .low {
    min-height: 4.5rem;
    padding: var(--gap-3);
  }
  .drop:hover,
  .over,
  .drop:focus-within {
    border-color: var(--owl);
    background: var(--owl-tint);
  }
  .drop:focus-within {
    outline: 3px solid var(--owl);
    outline-offset: 2px;
  }
  .folder {
    position: relative;
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
    color: var(--owl);
    font-weight: 620;
    text-decoration: underline;
    text-underline-offset: 4px;
    cursor: pointer;
  }
  .folder:focus-within {
    outline: 3px solid var(--owl);
    outline-offset: 2px;
  }
  input {
    position: absolute;
    inset: 0;
    opacity: 0;
    cursor: pointer;
  }
  path {
    fill: none;
    stroke-width: 2.5;
    stroke-linecap: round;
  }
  .axis {
    stroke: var(--ink);
  }
  .curve {
    stroke: var(--owl);
  }
</style>
