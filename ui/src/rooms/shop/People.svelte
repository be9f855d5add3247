<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  import { client, take } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import { answers, type FieldList } from '../../lib/fields';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { toast } from '../../lib/toasts.svelte';

  const found = resource(
    () => ({}),
    () => take(client.GET('/api/shop/people')),
  );
  const people = $derived(found.value?.people ?? []);
  const PERSON = [
    { key: 'name', label: say('shop-name'), needed: true },
    { key: 'login', label: say('shop-login'), needed: true },
    {
      key: 'password',
      kind: 'password',
      label: say('shop-first-password'),
      autocomplete: 'new-password',
      needed: true,
    },
    { key: 'role', kind: 'choice', label: say('shop-role'), options: answers('shop', ['technician', 'owner']) },
  ] as const satisfies FieldList;
  const add = new SentForm(PERSON, async (body) => {
    found.value = await take(client.POST('/api/shop/people', { body }));
    add.fill(null);
    toast(say('shop-person-added', { name: body.name }));
  });
  const turn = action(async (member_id: string, active: boolean) => {
    const params = { path: { member_id } };
    found.value = await take(client.PUT('/api/shop/people/{member_id}', { params, body: { active } }));
  });
</script>

<h2>{say('shop-people')}</h2>
<Trouble of={[found, turn]} />
{#snippet may(p: (typeof people)[number])}
  {p.active ? say('shop-yes') : say('shop-no')}
  {#if !p.me}<Button
      kind="bare"
      label={say(p.active ? 'shop-shut-out' : 'shop-let-in', { name: p.name })}
      onclick={() => void turn.run(p.id, !p.active)}>{say(p.active ? 'shop-shut' : 'shop-let')}</Button
    >{/if}
{/snippet}
<DataTable
  weight="strong"
  rows={people}
  key={(p) => p.id}
  columns={[
    { head: say('shop-name'), name: true, text: (p) => `${p.name}${p.me ? say('shop-you') : ''}` },
    { head: say('shop-login'), text: (p) => p.login },
    { head: say('shop-role'), text: (p) => say(`shop-${p.role}`) },
    { head: say('shop-may-sign-in'), cell: may },
  ]}
/>
<div class="add"><FilledForm form={add} action={say('shop-add-person')} /></div>

<style>
  h2 {
    margin-bottom: var(--gap-2);
  }
  .add {
    --field: 13rem;

    margin-top: var(--gap-4);
  }
</style>
