/** Version of the documents that this program writes. */
export const FORMAT_VERSION = 14;
