<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  import { client, take } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { toast } from '../../lib/toasts.svelte';

  const found = resource(
    () => ({}),
    () => take(client.GET('/api/shop/people')),
  );
  const people = $derived(found.value?.people ?? []);
  const BLANK = { name: '', login: '', role: 'technician', password: '' };
  let form = $state({ ...BLANK });
  const ROLES = [
    { value: 'technician', label: say('shop-technician') },
    { value: 'owner', label: say('shop-owner') },
  ];

  const add = action(async () => {
    const name = form.name;
    found.value = await take(client.POST('/api/shop/people', { body: { ...form } }));
    form = { ...BLANK };
    toast(say('shop-person-added', { name }));
  });
  const errors = $derived(add.trouble?.fields ?? {});
  const turn = action(async (member_id: string, active: boolean) => {
    const params = { path: { member_id } };
    found.value = await take(client.PUT('/api/shop/people/{member_id}', { params, body: { active } }));
  });
</script>

<h2>{say('shop-people')}</h2>
<Trouble of={[found, add, turn]} />
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
              onclick={() => void turn.run(p.id, !p.active)}>{say(p.active ? 'shop-shut' : 'shop-let')}</Button
            >{/if}
        </td>
      </tr>
    {/each}
  </tbody>
</DataTable>
<form
  onsubmit={(e) => {
    e.preventDefault();
    void add.run();
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
