<script lang="ts">
  // What each column of a list is: guessed, shown with a few of its cells, always open to correction.
  import type { Schemas } from '../../lib/api';
  import Choice from '../../lib/parts/Choice.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import { KINDS } from '../../lib/words';
  import { say } from '$words/page-data.ftl';

  type List = Schemas['PastListOut'];
  type Said = Partial<Omit<Schemas['PastTellIn'], 'version'>>;
  interface Props {
    list: List;
    busy: boolean;
    /** What is said of the list as it then is. */
    ontell: (saying: (list: List) => Said) => void;
  }
  let { list, busy, ontell }: Props = $props();
  const roles = $derived([
    { value: '', label: say('past-column-left-out') },
    ...list.roles.map((one) => ({ value: one.role, label: one.words })),
  ]);
  const heading = (column: Schemas['ColumnView'], at: number) =>
    column.heading || say('past-column', { number: at + 1 });
  const asksOrder = $derived(list.needs_order || list.day_order !== 'unknown');

  /** One role stands once: whoever says it of another column takes it from the first. */
  function set(at: number, role: string) {
    ontell(({ columns }) => ({
      roles: columns.map((column, k) => {
        const said = k === at ? role : column.role === role ? '' : column.role;
        return (said || null) as Schemas['PastRole'] | null;
      }),
    }));
  }
</script>

<section class="lay-stack" aria-busy={busy}>
  <h3>{say('past-columns')}</h3>
  {#if list.sheets.length > 1}
    <Pick
      label={say('past-sheet')}
      name="sheet"
      options={list.sheets.map((name) => ({ value: name, label: name }))}
      bind:value={() => list.sheet, (sheet) => ontell(() => ({ sheet, roles: null, day_order: 'unknown' }))}
    />
  {/if}
  <ul>
    {#each list.columns as column, at (at)}
      <li>
        <div>
          <strong>{heading(column, at)}</strong>
          {#if column.examples.length}<span class="quiet">{column.examples.join(' · ')}</span>{/if}
        </div>
        <Pick
          bare
          label={say('past-column-what', { heading: heading(column, at) })}
          name="role"
          options={roles}
          bind:value={() => column.role ?? '', (role) => set(at, role)}
        />
      </li>
    {/each}
  </ul>
  {#if asksOrder}
    <Choice
      legend={say('past-order')}
      name="order"
      unmade="unknown"
      options={[
        { value: 'day_first', label: say('past-order-day') },
        { value: 'month_first', label: say('past-order-month') },
        ...(list.day_order === 'unknown' ? [{ value: 'unknown', label: say('past-order-unknown') }] : []),
      ]}
      bind:value={() => list.day_order, (order) => ontell(() => ({ day_order: order as Schemas['DayOrder'] }))}
    />
  {/if}
  <Choice
    legend={say('past-kind')}
    name="kind"
    options={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
    bind:value={() => list.kind, (kind) => ontell(() => ({ kind: kind as Schemas['DeviceKind'] }))}
  />
</section>

<style>
  section {
    gap: var(--gap-4);
    margin-top: var(--gap-4);
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 26rem), 1fr));
    gap: 0 var(--gap-5);
    margin: 0;
    border-top: 1px solid var(--rule);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 12rem);
    gap: var(--gap-3);
    align-items: center;
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  span {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
