export default colourRoutes.restore()
