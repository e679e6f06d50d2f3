/** What a person can do on the table, by hand, key or button: one function each. */
export * from '@/features/table/acts/choosing';
export * from '@/features/table/acts/laying';
export * from '@/features/table/acts/photos';
export * from '@/features/table/acts/changing';
export * from '@/features/table/acts/copying';
export * from '@/features/table/acts/arranging';
export * from '@/features/table/acts/sizing';
export * from '@/features/table/acts/pages';
export * from '@/features/table/acts/looking';
export * from '@/features/table/acts/cutting';
export * from '@/features/table/acts/drawing';
export * from '@/features/table/acts/tucking';
export * from '@/features/table/acts/templating';
export * from '@/features/table/acts/running';
export * from '@/features/table/acts/words';
export * from '@/features/table/acts/opening';
export * from '@/features/table/acts/gathered';
