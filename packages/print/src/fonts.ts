/** The two faces of the product as full TrueType files, the same on screen and in PDF. */
import { createRequire } from 'node:module'
import type { Face } from '@lemmata/core/drawing'

const require = createRequire(import.meta.url)

export const FONT_FILES: Readonly<Record<Face, string>> = {
  text: require.resolve('@expo-google-fonts/source-sans-3/400Regular/SourceSans3_400Regular.ttf'),
  'text-bold': require.resolve('@expo-google-fonts/source-sans-3/600SemiBold/SourceSans3_600SemiBold.ttf'),
  heading: require.resolve('@expo-google-fonts/alegreya/700Bold/Alegreya_700Bold.ttf'),
}
