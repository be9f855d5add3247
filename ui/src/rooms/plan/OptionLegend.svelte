<script lang="ts">
  import { say } from '$words/page-plan.ftl';

  interface Props {
    measured: boolean;
    reference: string;
  }
  let { measured, reference }: Props = $props();
</script>

<p>
  <span><i class="key now"></i>{say('option-scale-now')}</span>
  <span><i class="key blur"></i>{say('option-scale-cannot-be-shown')}</span>
  <span><i class="key span"></i>{say('option-scale-interval-with-its-median')}</span>
  {#if measured}<span><i class="key measured"></i>{say('option-scale-measured-after')}</span>{/if}
  <span class="quiet">{say('option-scale-judged-against', { reference_words: reference })}</span>
</p>

<style>
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--gap-4);
    padding: var(--gap-2) var(--gap-1);
    border-top: 1px solid var(--edge);
    font-size: var(--size-0);
  }
  span {
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
  }
  .key {
    display: inline-block;
    width: 1.4rem;
    height: 0.8rem;
  }
  .key.now {
    width: 2px;
    border-left: 2px dashed var(--before);
  }
  .key.blur {
    background: repeating-linear-gradient(135deg, var(--edge) 0 1px, transparent 1px 5px);
  }
  .key.span {
    border: solid var(--after);
    border-width: 0 2px;
    background: linear-gradient(
      transparent 30%,
      color-mix(in srgb, var(--after) 45%, transparent) 30% 70%,
      transparent 70%
    );
  }
  .key.measured {
    width: 3px;
    background: var(--ink);
  }
</style>
