/** What a person can do on the table, by hand, key or button: one function each. */
export * from '@/features/table/room/actions/choosing';
export * from '@/features/table/room/actions/laying';
export * from '@/features/table/room/actions/photos';
export * from '@/features/table/room/actions/changing';
export * from '@/features/table/room/actions/copying';
export * from '@/features/table/room/actions/arranging';
export * from '@/features/table/room/actions/pages';
export * from '@/features/table/room/actions/looking';
export * from '@/features/table/room/actions/cutting';
export * from '@/features/table/room/actions/drawing';
export * from '@/features/table/room/actions/tucking';
export * from '@/features/table/room/actions/templating';
export * from '@/features/table/room/actions/running';
export * from '@/features/table/room/actions/words';
export * from '@/features/table/room/actions/opening';
