<template>
  <section class="nowhere">
    <h1>There is nothing at this address</h1>
    <p>It may have been mistyped, or what it named was deleted.</p>
    <RouterLink to="/jobs">Go to the jobs</RouterLink>
  </section>
</template>

<style scoped>
.nowhere {
  display: grid;
  gap: 12px;
  padding: 48px;
}
a {
  color: inherit;
}
</style>
