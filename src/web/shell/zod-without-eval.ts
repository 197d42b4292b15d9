import { z } from 'zod'

// Zod compiles its checks with `new Function`, which the page's content security policy forbids.
z.config({ jitless: true })
