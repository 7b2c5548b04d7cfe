/** A plant label as a general drawing tool saved it: its size in centimetres is rounded, as that tool does. */
export const PLANT_LABEL = `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.0//EN" "http://www.w3.org/TR/2001/PR-SVG-20010719/DTD/svg10.dtd">
<svg width="10cm" height="3cm" viewBox="-1 -1 193 49" xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink">
  <defs/>
  <g id="Background"/>
  <g id="label">
    <polygon style="fill: none; stroke-opacity: 1; stroke-width: 0.2; stroke: #000000" points="0,24 32,0 192,0 192,48 32,48 "/>
    <ellipse style="fill: none; stroke-opacity: 1; stroke-width: 0.2; stroke: #000000" cx="180" cy="24" rx="5" ry="5"/>
    <polyline style="fill: none; stroke-opacity: 1; stroke-width: 0.2; stroke: #0000ff" points="36,41 124,41 "/>
    <polyline style="fill: none; stroke-opacity: 1; stroke-width: 0.2; stroke: #0000ff" points="36,7 124,7 "/>
    <path style="fill: #2f6b3a; fill-opacity: 1; stroke-opacity: 1; stroke-width: 0.2; stroke: #2f6b3a" fill-rule="evenodd" d="M 40 34 C 40,16 56,10 76,12 C 76,28 62,38 40,34z"/>
    <path style="fill: #2f6b3a; fill-opacity: 1; stroke-opacity: 1; stroke-width: 0.2; stroke: #2f6b3a" fill-rule="evenodd" d="M 84 34 C 84,16 100,10 120,12 C 120,28 106,38 84,34z"/>
  </g>
</svg>
`

/** A seed head, 18 × 16 mm at four pixels to a millimetre; PNG. */
export const SEED_HEAD = [
  'iVBORw0KGgoAAAANSUhEUgAAAEgAAABACAAAAACc1W72AAAACXBIWXMAAA+gAAAPoAGgaox3AAALT0lEQVR42sXY+VdTdxYAcP+lzpk5p9NjO9ZatUqtC8oi',
  'eyBsIQQSEsi+v4SX9WV7WXnZSAKEJCSEkA0CGPZFFtlEQUA2wWAOP3dop3aKoqM9c2beH/A5736X+733Xvj5v/Rd+J9AJ+k3x6nXR4Mi5+vU8Zv0yZ+DTg72',
  'j14d7M1O73TjNZu7e7sTz1NvTj4bSqdWDMal7a1JITe5EhqZWnrhbUL2Do5S6c+C0qnD/WEyLflsLcmixZeXg0zlk3ai4cXWzv7hB6jzoJPjw72Xq+tdXeOw',
  '8XE0POCbdFVyxp9Epp4+Wx9d2Dt8ffJpUPpof2fTKupdWvCW4UJTk8JSw7gzMD0zoDQuBCiKlRmT++hToOPD3a2NeaDINjs+qIRHE8PCSt3wsFXR4yiqi7rr',
  'wblQLbB0/B+hk9S81ft8ddGHDJgYluQQTIJ72xKJCPEnZUQKT0wF+hdnXd07B6mTj0MnqYMAijflMcQnRjkZwv4+1nVmNNLM7hA1WfsHYslRl316ITGy8fI9',
  '6cI7zv72mM4xzsjSJYdsIkfYbQaQoB11Gwr1hiNQg7YLh3IFyZyRjcnVd6Sz0Pza9vrM4ty0muF0CzThELMC8nu0Ti7V7pcIvZRrnB5mk9dLoA0GGfCL1Ieh',
  'QbbhuYXdPjUQTfSLrtV6PdgMbif7AbHD7TYW3Jbp+ZZwuGcw6euZ9RCkqwfHH4LSMYp6WZwHRxiNbRFjA+DzqPgWF+1OnVMhtBNq9B6f3yW1xB2G/qnZnuTG',
  'zmH6fOjkaHdwYqkHiXqqikw9SKvHTqHZWw1mUGcszWC1troAZivnJqG7IQtOtjiW1jZ3j07OhY73H48vzwdjyYRBHVQU1trFt+5JwKJqPWKqzOZYrJq8GwIQ',
  'zQyysC12FC66vLy1f3welD6caeb2uWrY8YAS8Ysy0S16XJ2ecT1HJmrWSLQEoqmuUtlm9fi7O+M+NjjcCgb/GNy/odTeKIPca0NTe0V3cO4OscJm1poMcBMD',
  'zL3P1bJv/ChoMeu0rhaOMhgODIxMirJaNvdS70Ppw5frsdD0qKMzoiht6rAyOAgzv06rkKiBB3eYamlFldKgKC2U0b+vcjNqkaHRLtPArH8s/R6U2t9cS/RO',
  'JLVwKGBpd/FvZEnrLhZKinOYEIvBJElUIFkkyrotaEZTXZg7kEfR9njRVaHeexc62U4uDjMbOu2FKLOPVgPJUJVqsI7Ou3uVJJOCud/hoPLLFTCbhVgtbW61',
  '2AfeYo7PB0HX7xv3FnrTSUSG6PXtnSSSy1J0lYHo9LBaCclJ9YIqrLj4NkGK+alGraQKECVT4/GHDE2qkfbYwtbBm3egVGcjshD2DfUFOtrcPJLGpKsp4XDR',
  'WLGIcCWDKmCKxBI2pGy4WqDBXa5zS6BwdMhUyp978ftyX3h7GDcG5+dG9IaYvRZrcujILFHmJTzu4l1OMz2/mCfA1IINRQ0QObNcR86nKXLyW2IDdqJ8cX3n',
  'bWy/QelX2+PBGWdhlUuf+1Bpp13JlRKqAEZhpZBYwwIA/LUMcvEXhTJIqNCZYLseg3MooP7IeLx9+lX6DPTmYF2BsQRorEC3RGSxAgVVaoVcImIJuVnfVvB4',
  'lJw8FqEQD6BQoJZM1DvsLjPqoXVsRl5ge7tIv0HHexsagn20L4ic3tTyGp0KFmCbxBV3qoHiu7W1ZWQOjyMQgpQb1+nNmVfZdnW7m071JaatQPfe8Rkotbsx',
  'E50aGeDlcTsFN7NlOg32Yk5z4TclfC6NkfWPcm5JdoOAL6rBylXVZdKmLKo/FLWSlfOzG0tHZ6DXuxsr/XJtgpPNclvpLBWJ0ZRdDlIwNBqXw0Hn1tMyv63G',
  'Z5VLZBK61IA0/NjYFYgqs+jjK8FmzxnoaGd9uTUb3+3TtQkhG9J4OVcMikEhUHkXzWGzGXh6bTm9/Ossgaz6WqUBMYBmDt4UhDvmltuwLWehxzZvTKxORIJA',
  'RnkLwsophwTFBUyg+FIBm80u+7GUw+XRKwigtCaj2sDmO53V10SJZFRpXwjPnYV8hcDkREwqD8qK6xGOSKaCaDeuNgDkqkYs5l8QlSWkPiw9PZb8uw+gDjmv',
  'LZy0FtKmds6u0dGIyj43ac0ps/laWuk3S9QQHaypYpaguaTbGXUMPJlDuJvLrrt8m6fSiovLtG5fUNZgPP2j9Z33F7u7p5vFDRjbXJz7FVrsDbQErLuc0UjL',
  'yyGxS+9U4q7fpQMYvIJbL4QNQB3UQ78JTs6tzO++fnf7g3X06EBMmEdx2WUaXc11tETELC7j8Zh0DqfgMopfR2wWSeRK9FfVZnvtl+SQTe6bmjcK+lPvHMgX',
  'vY2cvsE4/x7JwhSY9KehATiKUADwMZlobiOGClBK8eKaQkZDHtnSKm7U9MYHzc5ZcaX/7IF8M9E50pfwKVw+tY17vVhLKaMrMJcegvhyGupiHq8RDwjQf88G',
  's7+s1arVZEGHVwIGHRV1sf7uZ2evSBopMS/Nim5xI8EuGaoeKf1btYpwtwzIulhBqSQy7/9QJ2x4iJE1VPJ1Jsr3KKulNFMfYDePPtt+59KehOTBlTmEDLeL',
  'TR6zw8qs5qiVfKmkPLtBKBSyc24RQK5YBinVIFUJops8PhbFPZKcXHkvjfyc2njhtyQHhoCMRp9GbTfDehhXQJVJhCKQkI9jUUWoTJKkngKXX8HbbUZzd7g3',
  'OhbXe99LbKd5ZIFb6phIarBCfVGJhllAVOV9hYWa8jAS1Bf5Yklz9iUc8coDSX0W1QGXVdo8VFrIkg8sv5dqT462LeJwomMgEDaWlGoJ31QaaTWACvNlroSM',
  'InLZchpezM6vgBFla5umqNTmrKzwhqG2nfeS/y/P0fKipFyTiIVMxg41VYwYpTQZr7pJAUH87HtMlVqjVekRKxmj9OpbYgmL/fHi2uZ+6twHcgXC6AOAtMfv',
  '7HDBGqT6Wq0WphaTVMD928zGYpqBipWaUN9x/bDIO9TbMz/VFj1Mn/dkb66NByeN9zCd/CoxXIJS4e8RDfqqv6BgmMfRof+K0RdfJLuENEtX/S0oyiQGvVXi',
  '9XOLiCd6/fRMEJBHST+wNA/zlWaZGYT4GCaI5xuNXJzQSq+FOgyGYBhsbI0zCKEk3Jk+t6xJEpoS89GxZMIidviVinaXA7hfqkMQ3NcViFqA2B1qm9tcgWqJ',
  'J/rHpuOR51u7x+cXWjs+75qdqBmLd8bDfp9P0yQR3kcbbTZ2CcWG/Ynm4uUSfXZMubWNBU2NBOc/WGidBrezYS6TTwhrDN4mopP6db1boXVRcWqz00V4wHZz',
  '7xECIadjQJ/TOKTFtn6w9DsN7uDlnP/RBLdE70QVI2qCuMvrMRdf43eY5XbY09Wpbg0AwmgypnUuIk3uDxejpzt3EOl+uhhrHxkx6Pqi4VCQS0IENIuPdJ8X',
  '8FBJzqitqKT9kX9q8enq2E7qYwX7PIeceBrwzkxGwkN+id5deUvWEwwG6QWi3tbSHFMiJoMeqbHI02jf/kcL9p+3LbrZJIUYjtAYvfC9hl6loDNqIon8tmhX',
  'TKOM25Cx6VltrXWEzZo5+XhT83rvYA4SD/fiiaFOJpQcGgwkpBmkaMJSDzwaCRHQ7vnFx32rT7T6Z5/QZj1d2ljr6ZmfHR+dGJPXG/1y6/CwIZ86OJkU8WKd',
  'mv6t3cOXn9z4TbfHl7p4hhlhHjw5EVHaknZ/xBybnVlTZLv2j9Kf3op2oJVr9rzmubgrOTdnzWWMLTyB8+Bn65vR1qnjk89ojgfk7q3ptuja01WzYjAO2VZn',
  '1jzN3s9sjn+lto8O9na2t17M8sr96+sb5ub49trnt+u/Bvgm9csAYTfUvrizs66q7Xl19GcGCH8caZx+r6f7X/7Zkcb/a1rzTx0HpK/A7JfJAAAAAElFTkSu',
  'QmCC',
].join('')

/** What they are known by: SHA-256. */
export const PRINTS = {
  label: 'df887f1d5614c1327cf47bdf65481658039b9396c8f907351cf3ef80393bed0f',
  seedHead: '3407bf90c29b41b947669c3deeb267721b428f66f5a4b9de71e1a797d2836f92',
} as const
