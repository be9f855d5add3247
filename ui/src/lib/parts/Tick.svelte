<script lang="ts">
  interface Props {
    label: string;
    checked: boolean;
    tone?: 'plain' | 'halt';
  }
  let { label, checked = $bindable(), tone = 'plain' }: Props = $props();
</script>

<label class={tone} class:on={checked}>
  <input type="checkbox" bind:checked />
  <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
    <rect x="1.5" y="1.5" width="17" height="17" rx="2" />
    {#if checked}<path d="M5 10.5l3.5 3.5L15 6.5" />{/if}
  </svg>
  {label}
</label>

<style>
  label {
    position: relative;
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: var(--target);
    padding: 0 var(--gap-3);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
    cursor: pointer;
  }
  label.on {
    border-color: var(--owl);
    background: var(--owl-tint);
    font-weight: 620;
  }
  label.halt.on {
    border-color: var(--halt);
    background: var(--halt-tint);
  }
  input {
    position: absolute;
    inset: 0;
    opacity: 0;
    margin: 0;
    cursor: pointer;
  }
  label:focus-within:has(:focus-visible) {
    outline: 3px solid var(--owl);
    outline-offset: 2px;
  }
  rect,
  path {
    fill: none;
    stroke: currentcolor;
    stroke-width: 1.8;
  }
  path {
    stroke-width: 2.6;
  }
</style>
