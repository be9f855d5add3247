<script lang="ts">
  import { say } from '../say';
  import { CARD_HEIGHT_MM, CARD_WIDTH_MM, keepMatch, trueSize } from '../true-size.svelte';
  import Button from './Button.svelte';
  import Dialog from './Dialog.svelte';

  interface Props {
    open: boolean;
  }
  let { open = $bindable() }: Props = $props();
  const USUAL = 96 / 25.4;
  let width = $state(Math.round(CARD_WIDTH_MM * (trueSize.pxPerMm ?? USUAL)));
</script>

<Dialog title={say('card-match-match-this-screen-to')} bind:open>
  <p>
    {say('card-match-hold-bank-card-against')}
  </p>
  <div class="card" style:width="{width}px" style:height="{(width * CARD_HEIGHT_MM) / CARD_WIDTH_MM}px">
    <span></span>
  </div>
  <label>
    {say('card-match-width-card')}
    <input type="range" min="180" max="1200" bind:value={width} />
  </label>
  <footer>
    <Button
      kind="main"
      onclick={() => {
        keepMatch(width / CARD_WIDTH_MM);
        open = false;
      }}>{say('card-match-they-meet')}</Button
    >
    <Button onclick={() => (width -= 1)} label={say('card-match-one-pixel-narrower')}>−1</Button>
    <Button onclick={() => (width += 1)} label={say('card-match-one-pixel-wider')}>+1</Button>
  </footer>
</Dialog>

<style>
  .card {
    max-width: none;
    margin: var(--gap-4) 0;
    border: 2px solid var(--ink);
    border-radius: 12px;
    background: var(--owl-tint);
  }
  .card span {
    display: block;
    width: 14%;
    height: 18%;
    margin: 30% 0 0 8%;
    border: 2px solid var(--edge);
    border-radius: 5px;
  }
  label {
    display: block;
    font-weight: 620;
  }
  input {
    width: 100%;
    height: var(--target);
    accent-color: var(--owl);
  }
  footer {
    display: flex;
    gap: var(--gap-3);
    margin-top: var(--gap-3);
  }
</style>
