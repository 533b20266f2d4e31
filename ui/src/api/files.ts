/** Hands something over as a file of JSON. */
export function writeFile(name: string, of: unknown) {
  const url = URL.createObjectURL(
    new Blob([JSON.stringify(of, null, 2) + '\n'], { type: 'application/json' }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
