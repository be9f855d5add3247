<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { client, take, type Schemas, type Shelf } from '../../lib/api';
  import type { FieldList, Option } from '../../lib/fields';
  import { press } from '../../lib/press';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { SOURCES } from './shelf-form';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    shelf: Shelf;
    onshelf: (shelf: Shelf) => void;
  }
  let { shelf, onshelf }: Props = $props();
  type Own = Record<string, { value: number; source: string; note: string }>;
  let chosen = $state('paste_soft');
  const owner = $derived(session.present?.person?.role === 'owner');
  const kind = $derived(shelf.kinds.find((k) => k.kind === chosen));

  function own(of: Schemas['KindOut']): Own {
    const rows = of.values.filter((v) => v.source !== 'from memory' || v.value !== v.typical);
    return Object.fromEntries(rows.map((v) => [v.name, { value: v.value, source: v.source, note: v.note }]));
  }

  const put = async (values: Own, of = chosen) =>
    onshelf(
      await take(client.PUT('/api/shelf/kinds/{kind}', { params: { path: { kind: of } }, body: { own: values } })),
    );
  async function keep(values: Own, words: string) {
    const before = kind ? own(kind) : {};
    const of = chosen;
    await put(values);
    toast(words, { undo: () => put(before, of) });
  }

  const VALUE = [
    { key: 'name', kind: 'pick', label: say('kinds-change'), options: [] as Option[], usual: 'conductivity' },
    { key: 'value', kind: 'number', label: say('kinds-to-2'), needed: say('kinds-type-number') },
    { key: 'source', kind: 'pick', label: say('kinds-comes-from'), options: SOURCES },
  ] as const satisfies FieldList;
  const form = new SentForm(
    VALUE,
    async ({ name, value, source }) => {
      if (!kind) return;
      await keep({ ...own(kind), [name]: { value, source, note: '' } }, say('kinds-saved-predictions-follow'));
      form.fields.value = '';
    },
    {
      under: 'value',
      shown: () => [
        { ...VALUE[0], options: (kind?.values ?? []).map((v) => ({ value: v.name, label: v.words })) },
        VALUE[1],
        VALUE[2],
      ],
    },
  );
  const back = press(async (name: string) => {
    if (!kind) return;
    const rest = own(kind);
    delete rest[name];
    await keep(rest, say('kinds-back-to-typical-value'));
  });

  const learn = press(async (lesson: Schemas['Lesson']) => {
    const found = shelf.kinds.find((k) => k.kind === lesson.kind);
    const before = found ? own(found) : {};
    onshelf(await take(client.POST('/api/shelf/kinds/{kind}/learn', { params: { path: { kind: lesson.kind } } })));
    toast(say('kinds-learnt-predictions-follow'), { undo: () => put(before, lesson.kind) });
  });
</script>

<section>
  <Titled why="materials"><h2>{say('kinds-typical-values-kinds')}</h2></Titled>
  <p class="quiet">
    {say('kinds-what-plan-reckons-with')}
  </p>
  {#if shelf.lessons.length}
    <h3>{say('kinds-what-your-own-jobs')}</h3>
    <ul>
      {#each shelf.lessons as lesson (lesson.kind)}
        <li>
          <span>
            <strong>{lesson.words}</strong>{say('kinds-planned-and-measured', { jobs: lesson.jobs })}
            {#if lesson.proposed === null}{say('kinds-three-needed-before-typical')}{:else}{say(
                'kinds-interface-came-out-times',
                { proposed: fixed(lesson.proposed, 2), in_force: fixed(lesson.in_force, 2) },
              )}{/if}
          </span>
          {#if owner && lesson.proposed !== null && Math.abs(lesson.proposed - lesson.in_force) > 0.005}
            <Button onclick={() => void learn(lesson)}>{say('kinds-learn')}</Button>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
  <Working summary={say('kinds-show-and-change-them')}>
    <div class="pick">
      <Pick
        label={say('kinds-kind')}
        name="kind-values"
        bind:value={chosen}
        options={shelf.kinds.map((k) => ({ value: k.kind, label: k.words }))}
      />
    </div>
    {#if kind}
      {#snippet again(v: (typeof kind.values)[number])}
        {#if owner && (v.source !== 'from memory' || v.value !== v.typical)}
          <Button
            kind="bare"
            label={say('kinds-back-to-typical-value-2', { words: v.words })}
            onclick={() => void back(v.name)}>↺</Button
          >
        {/if}
      {/snippet}
      <DataTable
        rows={kind.values}
        key={(v) => v.name}
        columns={[
          { head: say('kinds-value'), name: true, text: (v) => v.words },
          {
            head: say('kinds-in-force'),
            is: 'number',
            text: (v) => `${fixed(v.value, v.value < 20 ? 2 : 0)} ${v.unit}`,
          },
          { head: say('kinds-from'), text: (v) => `${v.source}${v.note ? `, ${v.note}` : ''}` },
          {
            head: say('kinds-can-be'),
            is: 'number quiet',
            text: (v) =>
              say('kinds-to', { low: fixed(v.low, v.low < 20 ? 1 : 0), high: fixed(v.high, v.high < 20 ? 1 : 0) }),
          },
          { head: '', cell: again },
        ]}
      />
      {#if owner}
        <div class="change"><FilledForm {form} action={say('kinds-save')} /></div>
      {:else}
        <p class="quiet">{say('kinds-only-owner-may-change')}</p>
      {/if}
    {/if}
  </Working>
</section>

<style>
  section {
    margin-top: var(--gap-6);
    padding-top: var(--gap-3);
    border-top: 2px solid var(--ink);
  }
  h3 {
    margin-top: var(--gap-3);
  }
  ul {
    margin: var(--gap-2) 0;
  }
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-4);
    min-height: var(--target);
    border-bottom: 1px solid var(--rule);
  }
  .pick {
    max-width: 20rem;
    margin-bottom: var(--gap-3);
  }
  .change {
    margin-top: var(--gap-4);
  }
</style>
