<script lang="ts">
  import { say } from '$words/page-sign-in.ftl';
  import { action } from '../../lib/asking.svelte';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { go } from '../../lib/router.svelte';
  import { zoneHere } from '../../lib/zone';
  import { session, setUp, signIn, signInDemo } from '../../lib/session.svelte';

  const setting = $derived(session.present?.set_up_needed ?? false);
  let form = $state({ login: '', password: '', shop_name: '', name: '', code: location.hash.slice(1) });
  const run = action((work: () => Promise<void>) => work());
  const errors = $derived(run.trouble?.fields ?? {});

  async function openShop() {
    await setUp({ ...form, zone: zoneHere() });
    // The address with the code has done its work.
    go('/', true);
  }

  const blank = { measured: true, rise_k: 62, noise_db: 52, held_share: 0 };
  const cool = { measured: true, rise_k: 38, noise_db: 38, held_share: 0 };
</script>

<main class="lay-stack">
  <div class="face"><Owl before={blank} after={cool} size={160} decorative /></div>
  <h1>{setting ? say('sign-in-set-up-your-shop') : say('sign-in-vivid-owl')}</h1>
  <p class="quiet">
    {setting ? say('sign-in-this-installation-empty-you') : say('sign-in-hot-in-cool-out')}
  </p>
  {#if !Object.keys(errors).length}<Trouble of={run} />{/if}
  <form
    class="lay-stack"
    onsubmit={(e) => {
      e.preventDefault();
      void run.run(() => (setting ? openShop() : signIn(form.login, form.password)));
    }}
  >
    {#if setting}
      <TextField
        label={say('sign-in-code-from-terminal')}
        name="code"
        bind:value={form.code}
        error={errors.code}
        needed
      />
      <TextField
        label={say('sign-in-name-shop')}
        name="shop_name"
        bind:value={form.shop_name}
        error={errors.shop_name}
        needed
      />
      <TextField label={say('sign-in-your-name')} name="name" bind:value={form.name} error={errors.name} needed />
    {/if}
    <TextField
      label={say('sign-in-login')}
      name="login"
      bind:value={form.login}
      error={errors.login}
      autocomplete="username"
    />
    <TextField
      label={say('sign-in-password')}
      name="password"
      type="password"
      bind:value={form.password}
      error={errors.password}
      autocomplete={setting ? 'new-password' : 'current-password'}
      hint={setting ? say('sign-in-at-least-characters') : ''}
    />
    <Button kind="main" type="submit" busy={run.busy}
      >{setting ? say('sign-in-open-shop') : say('sign-in-sign-in')}</Button
    >
  </form>
  {#if session.present?.demo_available}
    <Button busy={run.busy} onclick={() => void run.run(signInDemo)}>{say('sign-in-enter-demo-shop')}</Button>
  {/if}
</main>

<style>
  main {
    gap: var(--gap-4);
    width: min(26rem, calc(100vw - 2rem));
    margin: 8vh auto 0;
  }
  .face {
    justify-self: center;
  }
  h1,
  p {
    text-align: center;
  }
  form {
    gap: var(--gap-4);
    padding: var(--gap-5);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    box-shadow: 7px 7px 0 var(--owl-tint);
  }
</style>
