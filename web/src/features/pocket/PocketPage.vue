<template><main class="page"></main></template>
