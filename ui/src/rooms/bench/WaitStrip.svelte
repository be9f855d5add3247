<script lang="ts">
  import { say } from '$words/page-bench.ftl';
  // The clocks of all jobs as lengths on one line: how far each has run, what it is, whose it is.
  import { remaining } from '../../lib/bench/clock';
  import { waits } from '../../lib/bench/waits.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  const rows = $derived(
    waits.list.map((w) => {
      const [from, to] = [new Date(w.began).getTime(), new Date(w.due).getTime()];
      const share = Math.min(1, Math.max(0, (waits.now - from) / Math.max(1, to - from)));
      return { ...w, left: to - waits.now, share };
    }),
  );
</script>

{#if rows.length}
  <section aria-label={say('wait-strip-waits-that-run')}>
    <Titled why="waits"><h2>{say('wait-strip-meanwhile')}</h2></Titled>
    <ul>
      {#each rows as row (row.id)}
        <li class:over={row.left <= 0}>
          <a href="/jobs/{row.job_id}/bench">
            <span class="who"><strong>{row.model}</strong> <span class="quiet">{row.number}</span></span>
            <span class="what">{row.words}</span>
            <span class="run" aria-hidden="true"><i style:width="{100 * row.share}%"></i></span>
            <b>{row.left > 0 ? `${remaining(row.left)} left` : say('wait-strip-over-go-on')}</b>
          </a>
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  section {
    margin-top: var(--gap-5);
  }
  h2 {
    font-size: var(--size-2);
  }
  ul {
    margin: var(--gap-1) 0 0;
  }
  a {
    display: grid;
    grid-template-columns: 13rem 11rem minmax(0, 1fr) 8.5rem;
    align-items: center;
    gap: var(--gap-4);
    min-height: var(--target);
    text-decoration: none;
  }
  a:hover {
    background: var(--owl-tint);
  }
  .run {
    height: 0.8rem;
    border: var(--line) solid var(--ink);
    border-radius: 2px;
    background: var(--sheet);
  }
  .run i {
    display: block;
    height: 100%;
    background: repeating-linear-gradient(90deg, var(--owl) 0 7px, var(--owl-tint) 7px 10px);
  }
  .over .run i {
    background: var(--after);
  }
  b {
    text-align: right;
  }
  .over b {
    color: var(--after);
  }
  @media (max-width: 900px) {
    a {
      grid-template-columns: 1fr auto;
    }
    .run {
      grid-column: 1 / -1;
    }
  }
</style>
