declare module '@fontsource-variable/*';
declare module '*.css';
