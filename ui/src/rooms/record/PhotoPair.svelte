<script lang="ts">
  import { say } from '$words/page-record.ftl';
  // Before and after over one another, with a slider between them; on paper they stand side by side.
  interface Props {
    /** Where they are got. */
    before: string;
    after: string;
  }
  let { before, after }: Props = $props();
  let share = $state(50);
</script>

<figure>
  <div class="pair no-print">
    <img src={after} alt={say('photo-pair-after-service')} />
    <img
      class="before"
      src={before}
      alt={say('photo-pair-before-service')}
      style:clip-path="inset(0 {100 - share}% 0 0)"
    />
    <i style:left="{share}%" aria-hidden="true"></i>
    <span class="word left">{say('photo-pair-before')}</span><span class="word right">{say('photo-pair-after')}</span>
  </div>
  <label class="no-print">
    <span>{say('photo-pair-from-after-to-before')}</span>
    <input type="range" min="0" max="100" bind:value={share} aria-label={say('photo-pair-how-much-before-shown')} />
  </label>
  <div class="paper">
    <span><img src={before} alt={say('photo-pair-before-service')} />{say('photo-pair-before')}</span>
    <span><img src={after} alt={say('photo-pair-after-service')} />{say('photo-pair-after')}</span>
  </div>
</figure>

<style>
  figure {
    margin: var(--gap-3) 0 0;
    max-width: 46rem;
  }
  /* Its place is kept while the pictures come. */
  .pair {
    position: relative;
    aspect-ratio: 3 / 2;
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    overflow: hidden;
    line-height: 0;
  }
  img {
    width: 100%;
    height: auto;
  }
  .pair img {
    position: absolute;
    inset: 0;
    height: 100%;
    object-fit: cover;
  }
  i {
    position: absolute;
    top: 0;
    bottom: 0;
    width: 4px;
    margin-left: -2px;
    background: var(--owl);
  }
  .word {
    position: absolute;
    bottom: var(--gap-2);
    padding: var(--gap-1) var(--gap-2);
    background: var(--paper);
    color: var(--ink);
    font-weight: 620;
    line-height: 1.3;
  }
  .left {
    left: var(--gap-2);
    border-left: 4px dashed var(--before);
  }
  .right {
    right: var(--gap-2);
    border-right: 4px solid var(--after);
  }
  label {
    display: grid;
    gap: var(--gap-1);
    margin-top: var(--gap-2);
  }
  input {
    width: 100%;
    min-height: var(--target);
    accent-color: var(--owl);
  }
  .paper {
    display: none;
  }
  @media print {
    .paper {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--gap-3);
    }
  }
</style>
