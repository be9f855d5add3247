<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { client, Problem, take, type Schemas, type Shelf } from '../../lib/api';
  import { once } from '../../lib/once';
  import { fixed, parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
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
  let form = $state({ name: 'conductivity', value: '', source: say('kinds-data-sheet') });
  let error = $state('');
  const owner = $derived(session.present?.person?.role === 'owner');
  const kind = $derived(shelf.kinds.find((k) => k.kind === chosen));

  function own(of: Schemas['KindOut']): Own {
    const rows = of.values.filter((v) => v.source !== 'from memory' || v.value !== v.typical);
    return Object.fromEntries(rows.map((v) => [v.name, { value: v.value, source: v.source, note: v.note }]));
  }

  const keep = once(async (values: Own, words: string) => {
    const path = { kind: chosen };
    const before = kind ? own(kind) : {};
    try {
      onshelf(await take(client.PUT('/api/shelf/kinds/{kind}', { params: { path }, body: { own: values } })));
      error = '';
      form.value = '';
      toast(words, {
        undo: async () =>
          onshelf(await take(client.PUT('/api/shelf/kinds/{kind}', { params: { path }, body: { own: before } }))),
      });
    } catch (problem) {
      if (!(problem instanceof Problem)) throw problem;
      error = Object.values(problem.fields)[0] ?? `${problem.body.detail} ${problem.body.remedy}`;
    }
  });

  async function set() {
    const value = parseNumber(form.value);
    if (!kind || value === null || Number.isNaN(value)) {
      error = say('kinds-type-number');
      return;
    }
    await keep(
      { ...own(kind), [form.name]: { value, source: form.source, note: '' } },
      say('kinds-saved-predictions-follow'),
    );
  }

  async function back(name: string) {
    if (!kind) return;
    const rest = own(kind);
    delete rest[name];
    await keep(rest, say('kinds-back-to-typical-value'));
  }

  const learn = once(async (lesson: Schemas['Lesson']) => {
    const path = { kind: lesson.kind };
    const found = shelf.kinds.find((k) => k.kind === lesson.kind);
    const before = found ? own(found) : {};
    try {
      onshelf(await take(client.POST('/api/shelf/kinds/{kind}/learn', { params: { path } })));
      toast(say('kinds-learnt-predictions-follow'), {
        undo: async () =>
          onshelf(await take(client.PUT('/api/shelf/kinds/{kind}', { params: { path }, body: { own: before } }))),
      });
    } catch (problem) {
      if (!(problem instanceof Problem)) throw problem;
      toast(`${problem.body.detail} ${problem.body.remedy}`, { tone: 'wrong' });
    }
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
      <DataTable>
        <thead>
          <tr
            ><th scope="col">{say('kinds-value')}</th><th scope="col" class="number">{say('kinds-in-force')}</th><th
              scope="col">{say('kinds-from')}</th
            ><th scope="col" class="number">{say('kinds-can-be')}</th><td></td></tr
          >
        </thead>
        <tbody>
          {#each kind.values as v (v.name)}
            <tr>
              <th scope="row">{v.words}</th>
              <td class="number">{fixed(v.value, v.value < 20 ? 2 : 0)} {v.unit}</td>
              <td>{v.source}{v.note ? `, ${v.note}` : ''}</td>
              <td class="number quiet"
                >{say('kinds-to', {
                  low: fixed(v.low, v.low < 20 ? 1 : 0),
                  high: fixed(v.high, v.high < 20 ? 1 : 0),
                })}</td
              >
              <td>
                {#if owner && (v.source !== 'from memory' || v.value !== v.typical)}
                  <Button
                    kind="bare"
                    label={say('kinds-back-to-typical-value-2', { words: v.words })}
                    onclick={() => void back(v.name)}>↺</Button
                  >
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </DataTable>
      {#if owner}
        <form
          onsubmit={(e) => {
            e.preventDefault();
            void set();
          }}
        >
          <Pick
            label={say('kinds-change')}
            name="value-name"
            bind:value={form.name}
            options={kind.values.map((v) => ({ value: v.name, label: v.words }))}
          />
          <TextField label={say('kinds-to-2')} name="value" numeric bind:value={form.value} {error} />
          <Pick label={say('kinds-comes-from')} name="value-source" bind:value={form.source} options={SOURCES} />
          <Button type="submit">{say('kinds-save')}</Button>
        </form>
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
  form {
    display: grid;
    grid-template-columns: 1.3fr 1fr 1fr auto;
    gap: var(--gap-3);
    align-items: end;
    margin-top: var(--gap-4);
  }
  @media (max-width: 760px) {
    form {
      grid-template-columns: 1fr;
    }
  }
</style>
