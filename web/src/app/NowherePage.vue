<template>
  <main class="page">
    <h1>There is nothing at this address.</h1>
    <p class="mt-3">
      Perhaps an engine was renamed.
      <RouterLink to="/">Back to the yard</RouterLink>
    </p>
  </main>
</template>
