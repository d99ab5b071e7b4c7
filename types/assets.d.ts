/** Style sheets are imported for their effect. */
declare module '*.css';
