<script lang="ts">
  import { say } from './words';
  import { onMount } from 'svelte';
  import { client, Problem, take, type Schemas } from '../../lib/api';
  import { once } from '../../lib/once';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { toast } from '../../lib/toasts.svelte';

  let people = $state.raw<Schemas['Person'][]>([]);
  const BLANK = { name: '', login: '', role: 'technician', password: '' };
  let form = $state({ ...BLANK });
  let errors = $state<Record<string, string>>({});
  const ROLES = [
    { value: 'technician', label: say('shop-technician') },
    { value: 'owner', label: say('shop-owner') },
  ];

  async function load(call: Promise<Schemas['PeopleOut']>): Promise<boolean> {
    try {
      people = (await call).people;
      errors = {};
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) toast(`${error.body.detail} ${error.body.remedy}`, { tone: 'wrong' });
      return false;
    }
  }
  onMount(() => void load(take(client.GET('/api/shop/people'))));

  const add = once(async () => {
    const name = form.name;
    if (!(await load(take(client.POST('/api/shop/people', { body: { ...form } }))))) return;
    form = { ...BLANK };
    toast(say('shop-person-added', { name }));
  });
  const turn = (id: string, active: boolean) =>
    load(take(client.PUT('/api/shop/people/{member_id}', { params: { path: { member_id: id } }, body: { active } })));
</script>

<h2>{say('shop-people')}</h2>
<DataTable weight="strong">
  <thead>
    <tr>
      <th scope="col">{say('shop-name')}</th><th scope="col">{say('shop-login')}</th><th scope="col"
        >{say('shop-role')}</th
      ><th scope="col">{say('shop-may-sign-in')}</th>
    </tr>
  </thead>
  <tbody>
    {#each people as p (p.id)}
      <tr>
        <th scope="row">{p.name}{p.me ? say('shop-you') : ''}</th>
        <td>{p.login}</td>
        <td>{p.role === 'owner' ? say('shop-owner') : say('shop-technician')}</td>
        <td>
          {p.active ? say('shop-yes') : say('shop-no')}
          {#if !p.me}<Button
              kind="bare"
              label={say(p.active ? 'shop-shut-out' : 'shop-let-in', { name: p.name })}
              onclick={() => void turn(p.id, !p.active)}>{say(p.active ? 'shop-shut' : 'shop-let')}</Button
            >{/if}
        </td>
      </tr>
    {/each}
  </tbody>
</DataTable>
<form
  onsubmit={(e) => {
    e.preventDefault();
    void add();
  }}
>
  <TextField label={say('shop-name')} name="name" bind:value={form.name} error={errors.name} needed />
  <TextField label={say('shop-login')} name="login" bind:value={form.login} error={errors.login} needed />
  <TextField
    label={say('shop-first-password')}
    name="password"
    type="password"
    autocomplete="new-password"
    bind:value={form.password}
    error={errors.password}
    needed
  />
  <Choice legend={say('shop-role')} name="role" bind:value={form.role} options={ROLES} />
  <Button type="submit">{say('shop-add-person')}</Button>
</form>

<style>
  h2 {
    margin-bottom: var(--gap-2);
  }
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
    gap: var(--gap-3) var(--gap-4);
    align-items: end;
    margin-top: var(--gap-4);
  }
</style>
