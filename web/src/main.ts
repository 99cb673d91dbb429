import '@fontsource/atkinson-hyperlegible-next/latin-400.css'
import '@fontsource/atkinson-hyperlegible-next/latin-700.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css'
import './styles/app.scss'
import { VueQueryPlugin, type Query } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { Refusal } from './api/client'
import App from './app/App.vue'
import { router } from './app/router'

createApp(App)
  .use(createPinia())
  .use(router)
  .use(VueQueryPlugin, {
    queryClientConfig: {
      defaultOptions: {
        queries: {
          staleTime: 5_000,
          // The depot's network is no internet: whether the browser thinks it is online says nothing.
          networkMode: 'always',
          // Asked at once; what keeps the answer for the road comes beside it.
          persister: async (ask, context, query) => {
            const asked = Promise.resolve(ask(context))
            asked.catch(() => undefined)
            const { keptAnswer } = await import('./offline/keptAnswers')
            return keptAnswer(asked, query as unknown as Query)
          },
          // What a rule refused stays refused; what the shell asks for again by itself needs no tries of its own.
          retry: (tries, error) => !(error instanceof Refusal) && tries < 1,
          retryDelay: 500,
        },
      },
    },
  })
  .mount('#app')
