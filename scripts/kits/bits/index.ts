/** Embellishments, each drawn as the thing it is. */
export * from './cloth';
export * from './frames';
export * from './hard';
export * from './metal';
export * from './mounts';
export * from './keepsakes';
export * from './soft';
export * from './paper';
