export default colourRoutes.put()
