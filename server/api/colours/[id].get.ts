export default colourRoutes.get()
