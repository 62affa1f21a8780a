/** What of the core this was built with, in short. */
declare const __CORE__: string;
