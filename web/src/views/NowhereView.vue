<template>
  <section class="nowhere">
    <h1>No page at this address</h1>
    <p>Check the address. The record may have been deleted.</p>
    <RouterLink to="/jobs">Go to Jobs</RouterLink>
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
