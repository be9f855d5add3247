<script lang="ts">
  import Intake from './Intake.svelte';
  import { go } from '../../lib/router.svelte';
</script>

<h1>Take a device in</h1>
<p class="quiet">What the customer says, what it is, and what must be settled before anyone opens it.</p>
<Intake job={null} onsaved={(job) => go(`/jobs/${job.id}/${job.stage === 'stopped' ? 'intake' : 'before'}`)} />

<style>
  p {
    margin: var(--gap-1) 0 var(--gap-5);
  }
</style>
