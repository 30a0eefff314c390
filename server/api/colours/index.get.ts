export default colourRoutes.list()
