/** The faces that screen and paper share, shipped with the application. */
import heading from '@expo-google-fonts/alegreya/700Bold/Alegreya_700Bold.ttf?woff2'
import regular from '@expo-google-fonts/source-sans-3/400Regular/SourceSans3_400Regular.ttf?woff2'
import semibold from '@expo-google-fonts/source-sans-3/600SemiBold/SourceSans3_600SemiBold.ttf?woff2'

const faces = [
  new FontFace('Source Sans 3', `url(${regular})`, { weight: '400' }),
  new FontFace('Source Sans 3', `url(${semibold})`, { weight: '600' }),
  new FontFace('Alegreya', `url(${heading})`, { weight: '700' }),
]

export const fontsReady: Promise<unknown> = Promise.all(
  faces.map((face) => {
    document.fonts.add(face)
    return face.load()
  }),
)
