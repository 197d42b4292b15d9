<template>
  <section class="inset start">
    <h2>Nothing is in the collection yet</h2>
    <p>
      This is where the drawer will lie, seen from above: what you reach for, by zone, and one tap for each thing you
      put on. First it needs to know what you own.
    </p>
    <div class="acts">
      <v-btn color="primary" to="/collection/import">Import a sheet you keep</v-btn>
      <v-btn variant="outlined" color="primary" to="/collection/add">Add a first item</v-btn>
    </div>
  </section>
</template>

<style scoped>
.start {
  padding: 48px 32px;
  max-width: 720px;
}

p {
  margin: 10px 0 22px;
  max-width: 58ch;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
