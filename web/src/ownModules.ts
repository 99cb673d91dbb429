import { vi } from 'vitest'

// The files of a thread share a page, not their modules: what one of them mocked, another would find.
vi.resetModules()
