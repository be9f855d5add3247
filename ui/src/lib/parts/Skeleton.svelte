<script lang="ts">
  // Where something will stand that is still on its way: a heading, a few lines. Shown only when it takes a moment.
  import { say } from '../say';
</script>

<div class="skeleton lay-stack" role="status">
  <span class="off-screen">{say('app-loading')}</span>
  <i class="head"></i><i></i><i class="short"></i><i></i>
</div>

<style>
  .skeleton {
    opacity: 0;
    animation: come 0s 0.2s forwards;
  }
  i {
    height: 1.25rem;
    border-radius: var(--round);
    background: var(--rule);
  }
  .head {
    width: 40%;
    height: 2rem;
  }
  .short {
    width: 70%;
  }
  @keyframes come {
    to {
      opacity: 1;
    }
  }
</style>
