import fc from 'fast-check'

// A fault that a property can find is found in a few cases; the many are for the suite itself.
fc.configureGlobal({ numRuns: 8 })
