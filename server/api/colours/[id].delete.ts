export default colourRoutes.remove()
