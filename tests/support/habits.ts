import { loadHabits } from '../../src/core/values';

// As it is once the window stands: what is said must not hang on which test came first.
await loadHabits();
